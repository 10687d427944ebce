// How well the fitted constants reproduce the yields table: every row, then rows of foods left out of the fit.
import type { RateConstant, YieldRow } from '@frijol/core/model'
import { fitRates, predictedFactor } from '@frijol/core/process'
import { library } from '@frijol/library'
import { cookedWater, eatenShares, readKin, readYields } from '../../library/src/build/yields'

const rows = readYields(new URL('../../library/data/yields.csv', import.meta.url), library.ingredients)
const water = cookedWater(library.conversions, library.ingredients)
const kin = readKin(new URL('../../library/data/group-kin.csv', import.meta.url))
const eaten = eatenShares(library.facts)

interface Line {
  readonly row: YieldRow
  readonly factor: number | null
}
const isInside = ({ row, factor }: Line): boolean =>
  factor !== null && factor >= row.low - 0.005 && factor <= row.high + 0.005

function summary(name: string, lines: readonly Line[]): void {
  const known = lines.filter(({ factor }) => factor !== null)
  const errors = known
    .map(({ row, factor }) => 100 * Math.abs((factor ?? 0) - row.factor))
    .sort((a, b) => a - b)
  const inside = known.filter(isInside).length
  console.log(
    `${name}: ${known.length} of ${lines.length} rows foretold; median error ${(errors[Math.floor(errors.length / 2)] ?? 0).toFixed(1)} points; ${((100 * inside) / known.length).toFixed(1)} % inside their range`,
  )
}
const by = (rates: readonly RateConstant[], row: YieldRow): Line => ({
  row,
  factor: predictedFactor(row, rates, eaten),
})

const inSample = rows.map((row) => by(library.rates, row))
if (process.argv.includes('--table')) {
  for (const line of inSample) {
    const { row, factor } = line
    console.log(
      [
        row.id.padEnd(30),
        row.operation.padEnd(14),
        `table ${row.factor.toFixed(2)} (${row.low.toFixed(2)} to ${row.high.toFixed(2)})`,
        `model ${factor === null ? ' –' : factor.toFixed(2)}`,
        isInside(line) ? '' : 'outside',
      ].join('  '),
    )
  }
}
console.log('yields table, mass out per mass in:')
summary('  fitted on all rows', inSample)
summary(
  '  each row left out of its own fit',
  rows.map((row) =>
    by(
      fitRates(
        rows.filter((other) => other !== row),
        water,
        kin,
      ),
      row,
    ),
  ),
)
