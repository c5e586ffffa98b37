import type { Landmark } from '../../api/client'
import type { From } from './marks'

type At = [number, number]

/** A lifter at the bottom of a squat, 100 by 120: enough to show where a landmark lies. */
const FRONT: Record<string, At> = {
  TOE_LEFT: [24, 108],
  ANKLE_LEFT: [32, 100],
  KNEE_LEFT: [22, 74],
  HIP_LEFT: [38, 60],
  TOE_RIGHT: [68, 108],
  ANKLE_RIGHT: [60, 100],
  KNEE_RIGHT: [70, 74],
  HIP_RIGHT: [54, 60],
}

const SIDE: Record<string, At> = {
  HEEL: [38, 108],
  TOE: [66, 108],
  ANKLE: [44, 101],
  KNEE: [64, 74],
  HIP: [24, 72],
  SHOULDER: [50, 34],
  OTHER_ANKLE: [50, 98],
  UPRIGHT_FOOT: [88, 110],
  UPRIGHT_TOP: [88, 12],
  PLATE_TOP: [46, 14],
  PLATE_BOTTOM: [46, 50],
}

const line = (of: Record<string, At>, ...names: string[]) =>
  names.map((name) => of[name]!.join(',')).join(' ')

/** Where the landmark that is marked next lies. */
export function LandmarkHint({ landmark, from }: { landmark: Landmark; from: From }) {
  const [x, y] = FRONT[landmark] ?? SIDE[landmark]!
  const plate = landmark.startsWith('PLATE')
  return (
    <svg viewBox="0 0 100 120" className="h-20 w-17 shrink-0" aria-hidden>
      <line x1="0" y1="110" x2="100" y2="110" stroke="var(--rule)" strokeWidth="2" />
      <line x1="88" y1="12" x2="88" y2="110" stroke="var(--steel)" strokeWidth="3" />
      {plate && <circle cx="46" cy="32" r="18" fill="none" stroke="var(--steel)" strokeWidth="2" />}
      <g fill="none" stroke="var(--ink)" strokeLinecap="round" strokeLinejoin="round">
        {from === 'SIDE' ? (
          <>
            <polyline points={line(SIDE, 'HEEL', 'TOE')} strokeWidth="5" />
            <polyline points={line(SIDE, 'ANKLE', 'KNEE', 'HIP', 'SHOULDER')} strokeWidth="7" />
            <circle cx="58" cy="18" r="8" strokeWidth="4" />
          </>
        ) : (
          <>
            <polyline
              points={line(FRONT, 'TOE_LEFT', 'ANKLE_LEFT', 'KNEE_LEFT', 'HIP_LEFT')}
              strokeWidth="6"
            />
            <polyline
              points={line(FRONT, 'TOE_RIGHT', 'ANKLE_RIGHT', 'KNEE_RIGHT', 'HIP_RIGHT')}
              strokeWidth="6"
            />
            <polyline points="38,60 34,30 58,30 54,60 38,60" strokeWidth="6" />
            <circle cx="46" cy="16" r="8" strokeWidth="4" />
          </>
        )}
      </g>
      <circle cx={x} cy={y} r="6" fill="var(--accent)" stroke="var(--paper)" strokeWidth="2" />
    </svg>
  )
}
