const UNITS =
  'one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen seventeen eighteen nineteen'.split(
    ' ',
  )
const TENS = 'twenty thirty forty fifty sixty seventy eighty ninety'.split(' ')

/** Whole numbers in words, 1 to 99: "twelve", "twenty-five", "twenty five". */
export const COUNT_WORDS: Readonly<Record<string, number>> = Object.fromEntries([
  ...UNITS.map((word, at) => [word, at + 1] as const),
  ...TENS.flatMap((ten, at) => [
    [ten, 10 * (at + 2)] as const,
    ...UNITS.slice(0, 9).flatMap((unit, one) =>
      [' ', '-'].map((mark) => [`${ten}${mark}${unit}`, 10 * (at + 2) + one + 1] as const),
    ),
  ]),
])
