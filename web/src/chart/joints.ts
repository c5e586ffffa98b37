/** The joints whose moments are shown, with a coach's word and a colour of the limb chart. */
export const JOINTS = [
  { key: 'hip flexion', name: 'hip', colour: 'var(--glutes)' },
  { key: 'knee flexion', name: 'knee', colour: 'var(--quads)' },
  { key: 'ankle dorsiflexion', name: 'ankle', colour: 'var(--calves)' },
  { key: 'lumbar flexion', name: 'back', colour: 'var(--hamstrings)' },
]
