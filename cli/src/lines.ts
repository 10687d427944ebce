import { lineMass, type LineReader, type ReadLine, readLines } from '@frijol/core/measure'

const rounded = (value: number): number => Number(value.toPrecision(6))

/** One line as the command prints it. Never throws for any text. */
export function linesEntry(text: string, reader: LineReader) {
  const [first, ...more] = readLines(text, reader).map((read) => entryOf(text, read, reader))
  // A line of several foods: the first, and the others beside it.
  return more.length === 0 ? first : { ...first, also: more }
}

function entryOf(text: string, read: ReadLine, reader: LineReader) {
  const food = read.ingredientId === null ? undefined : reader.ingredients.get(read.ingredientId)
  const first = read.amount?.terms[0]
  const found =
    read.amount === null || food === undefined
      ? null
      : lineMass(read.amount, food, read.food.toLowerCase(), reader.kitchen)
  return {
    text,
    amount:
      read.amount === null || first === undefined
        ? null
        : {
            low: first.low,
            high: first.high,
            unit: first.unit,
            qualifier: first.qualifier,
            size: first.size,
            pack: first.pack,
            terms: read.amount.terms,
            approximate: read.amount.isApproximate,
          },
    open: read.open,
    food: read.food,
    foodId: read.ingredientId,
    choices: read.choices,
    prep: read.prep,
    optional: read.isOptional,
    massG:
      found?.mass == null
        ? null
        : {
            value: rounded(found.mass.value),
            low: rounded(found.low),
            high: rounded(found.high),
            sd: rounded(found.mass.sd),
          },
    findings: [
      ...read.findings,
      ...(found?.notes ?? []).map(({ code, message, remedy }) => ({
        rule: code,
        severity: 'info',
        message,
        remedy,
      })),
    ],
  }
}
