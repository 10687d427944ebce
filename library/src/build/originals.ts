import { ATTRIBUTES, Original } from '@frijol/core/model'
import { numberIn, type Row } from './table'

const range = (row: Row, column: string) => {
  const typical = numberIn(row, column)
  return {
    typical,
    low: numberIn(row, `${column}_low`) ?? typical,
    high: numberIn(row, `${column}_high`) ?? typical,
  }
}

const TRACES = [
  ['ironMg', 'iron_mg'],
  ['calciumMg', 'calcium_mg'],
  ['potassiumMg', 'potassium_mg'],
  ['zincMg', 'zinc_mg'],
  ['seleniumUg', 'selenium_ug'],
  ['iodineUg', 'iodine_ug'],
  ['b12Ug', 'b12_ug'],
  ['vitaminDUg', 'vitamin_d_ug'],
] as const

/** One row of originals.csv, with its row of original-traces.csv. Blank attributes stay out: they do not apply to that food. */
export function originalFrom(row: Row, traces: Row | undefined): Original {
  const viscosity = numberIn(row, 'apparent_viscosity_pa_s')
  return Original.parse({
    id: row['id'],
    name: row['name'],
    family: row['family'],
    group: row['group'],
    servingTempC: numberIn(row, 'serving_temp_c'),
    waterPct: range(row, 'water_pct'),
    proteinPct: range(row, 'protein_pct'),
    fatPct: range(row, 'fat_pct'),
    saturatedFatPct: range(row, 'satfat_pct'),
    carbohydratePct: range(row, 'carb_pct'),
    sodiumMgPer100g: range(row, 'sodium_mg_100g'),
    energyKcal: numberIn(row, 'energy_kcal'),
    viscosityPaS:
      viscosity === null
        ? null
        : {
            typical: viscosity,
            low: numberIn(row, 'apparent_viscosity_low') ?? viscosity,
            high: numberIn(row, 'apparent_viscosity_high') ?? viscosity,
          },
    attributes: Object.fromEntries(
      ATTRIBUTES.flatMap((attribute) => {
        const value = numberIn(row, `s_${attribute}`)
        return value === null ? [] : [[attribute, value]]
      }),
    ),
    importance: Object.fromEntries(
      (row['importance'] ?? '').split(';').map((entry) => {
        const [attribute = '', weight] = entry.split(':')
        return [attribute, Number(weight)]
      }),
    ),
    colour:
      numberIn(row, 'lab_l') === null
        ? null
        : {
            site: row['colour_site'],
            lab: [numberIn(row, 'lab_l'), numberIn(row, 'lab_a'), numberIn(row, 'lab_b')],
          },
    traces:
      traces === undefined
        ? null
        : Object.fromEntries(TRACES.map(([name, column]) => [name, numberIn(traces, column)])),
    source: row['source'],
    confidence: row['confidence'],
  })
}
