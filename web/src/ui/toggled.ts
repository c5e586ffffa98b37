/** The list with the value, or without it where it had it. */
export const toggled = <T>(list: T[] | undefined, value: T): T[] =>
  list?.includes(value) ? list.filter((other) => other !== value) : [...(list ?? []), value]
