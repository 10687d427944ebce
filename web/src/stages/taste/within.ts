/** Takes a figure within bounds. @returns what is wrong with it, null where it was taken */
export function within(
  value: number | null,
  least: number,
  most: number,
  take: (value: number) => unknown,
): string | null {
  if (value === null || value < least || value > most) return `Between ${least} and ${most}.`
  take(value)
  return null
}
