import { registerSW } from 'virtual:pwa-register'

/** Told when a newer version of the screens is on this device and waits; calling it loads anew with that. */
export const NEW_VERSION = 'istmo:new-version'

let renew: (() => void) | undefined

/** Keeps the screens on this device, so that they open without a network. Browsers allow it on this machine's own address, and over HTTPS. */
export function keepScreens(): void {
  if (!('serviceWorker' in navigator) || import.meta.env.DEV) return
  const update = registerSW({
    onNeedRefresh: () => {
      renew = () => void update(true)
      window.dispatchEvent(new Event(NEW_VERSION))
    },
  })
}

export function newVersionWaits(): boolean {
  return renew !== undefined
}

export function takeNewVersion(): void {
  renew?.()
}
