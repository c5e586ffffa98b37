/** A number with so many digits at most, and no zeros at its end. */
export function trim(value: number, digits: number): string {
  return Number(value.toFixed(digits)).toString()
}
