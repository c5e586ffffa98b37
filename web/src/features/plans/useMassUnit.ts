import { useState } from 'react'
import type { MassUnit } from './words'

const KEY = 'istmo.mass-unit'

/** Kilograms or pounds, kept on this device. */
export function useMassUnit(): [MassUnit, (u: MassUnit) => void] {
  const [unit, setUnit] = useState<MassUnit>(() =>
    localStorage.getItem(KEY) === 'lb' ? 'lb' : 'kg',
  )
  return [
    unit,
    (u) => {
      localStorage.setItem(KEY, u)
      setUnit(u)
    },
  ]
}
