import type { RefObject } from 'react'
import type { Size } from './Board'
import { isDark } from './light'
import type { Source } from './useSource'

/** Beyond the end of any film, s. */
const FAR_S = 1e7

/** The picture or film itself, on this device only: its size, its length, and whether it can be shown. */
export function Shown({
  source,
  shown,
  onSize,
  onLength,
  onDark,
  onBroken,
}: {
  source: Source
  shown: RefObject<HTMLImageElement | HTMLVideoElement | null>
  onSize: (size: Size) => void
  onLength: (s: number) => void
  onDark: (dark: boolean) => void
  onBroken: () => void
}) {
  return source.film ? (
    <video
      ref={shown as RefObject<HTMLVideoElement>}
      src={source.url}
      muted
      playsInline
      preload="auto"
      className="absolute inset-0 h-full w-full"
      onLoadedMetadata={(event) => {
        const video = event.currentTarget
        onSize({ width: video.videoWidth, height: video.videoHeight })
        // a film that says no length of its own tells it once its end was looked for
        if (!Number.isFinite(video.duration)) video.currentTime = FAR_S
      }}
      onDurationChange={(event) => {
        const video = event.currentTarget
        if (!Number.isFinite(video.duration)) return
        onLength(video.duration)
        video.currentTime = 0
      }}
      onError={onBroken}
    />
  ) : (
    <img
      ref={shown as RefObject<HTMLImageElement>}
      src={source.url}
      alt="What you mark"
      className="absolute inset-0 h-full w-full"
      onLoad={(event) => {
        const { naturalWidth, naturalHeight } = event.currentTarget
        onSize({ width: naturalWidth, height: naturalHeight })
        onDark(isDark(event.currentTarget))
      }}
      onError={onBroken}
    />
  )
}
