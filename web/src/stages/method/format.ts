import type { Part, Step, StepReading } from '@frijol/core/model'
import { isHeating, specOf } from '@frijol/core/program'

export const grams = (massG: number): string =>
  `${massG >= 10 ? Math.round(massG) : Number(massG.toPrecision(2))} g`

const HOUR = 60
/** A time as a cook says it: "45 s", "12 min", "1 h 50". */
export function spoken(minutes: number): string {
  if (minutes < 1) return minutes === 0 ? '0 min' : `${Math.round(minutes * 60)} s`
  const whole = Math.round(minutes)
  if (whole < HOUR) return `${minutes < 5 && minutes % 1 !== 0 ? Number(minutes.toFixed(1)) : whole} min`
  const rest = whole % HOUR
  return rest === 0 ? `${whole / HOUR} h` : `${Math.floor(whole / HOUR)} h ${String(rest).padStart(2, '0')}`
}

/** What is known of how a step is done, besides what it takes. */
export function factsOf(step: Step, reading: StepReading | null): string[] {
  const { settings, tempC, until } = step
  const facts: string[] = []
  if (reading?.vessel != null) facts.push(reading.vessel.charAt(0).toLowerCase() + reading.vessel.slice(1))
  if (settings.heat !== null) facts.push(`${settings.heat} heat`)
  if (tempC !== null)
    facts.push(
      `${Math.round(tempC)} °C${settings.isFan === true ? ' fan' : settings.isFan === false ? ' still' : ''}`,
    )
  if (settings.lid !== null) facts.push(`lid ${settings.lid}`)
  if (settings.layer !== null) facts.push(`${settings.layer} layer`)
  if (settings.form !== null) facts.push(`as ${settings.form}`)
  if (settings.thicknessMm !== null) facts.push(`${settings.thicknessMm} mm`)
  if (settings.isWrapped) facts.push('wrapped')
  if (settings.waterG !== null && settings.waterG > 0) facts.push(`${grams(settings.waterG)} water in`)
  if (settings.additions !== null)
    facts.push(`water ${settings.additions.count} × ${grams(settings.additions.massG)}`)
  if (settings.isDrained === true) facts.push('drained after')
  if (until?.kind === 'keeps')
    facts.push(
      `until ${Math.round(until.fraction * 100)} % ${until.of === 'liquid' ? 'of the liquid ' : ''}is left`,
    )
  if (until?.kind === 'mass') facts.push(`to ${grams(until.massG)}`)
  if (until?.kind === 'dry') facts.push('until dry')
  if (reading !== null && reading.loads > 1) facts.push(`${reading.loads} loads`)
  return facts
}

const percent = (share: number): string => `${Math.round(share * 100)} %`

/** What a lot is like after a step, in words; only what its food has. */
export function stateOfLot({ state, takes }: StepReading): string[] {
  if (takes.length === 0) return []
  const { coreC, glutenDevelopment, starchGelatinised, proteinSet, particleMm, pH, overrunPct } = state
  const words = [`core about ${Math.round(coreC)} °C`]
  if (glutenDevelopment !== null) words.push(`gluten ${percent(glutenDevelopment)} developed`)
  if (starchGelatinised !== null) words.push(`starch ${percent(starchGelatinised)} swollen`)
  if (proteinSet !== null) words.push(`protein ${percent(proteinSet)} set`)
  for (const gel of state.gels) words.push(`${gel.name.toLowerCase()} ${gel.state}`)
  if (particleMm !== null) words.push(`pieces to ${Number(particleMm.toPrecision(1))} mm`)
  if (pH !== null) words.push(`pH about ${pH.toFixed(1)}`)
  if (overrunPct !== null) words.push(`${Math.round(overrunPct)} % air`)
  return words
}

/** A short name for a way of making a part: what cooks in it, in order. */
export function wayName({ steps }: Pick<Part, 'steps'>): string {
  const names = steps.flatMap(({ operation }) =>
    operation !== null && isHeating(operation) ? [specOf(operation).name.toLowerCase()] : [],
  )
  const each = names.filter((name, at) => names.indexOf(name) === at).slice(0, 4)
  const joined = each.join(', ')
  return joined === '' ? 'Cold method' : joined.charAt(0).toUpperCase() + joined.slice(1)
}

/** What a step takes, in words: "step 2’s 238 g, tomato paste 33 g". */
export const takenWords = (takes: StepReading['takes']): string =>
  takes.map(({ kind, name, massG }) => `${name}${kind === 'step' ? '’s' : ''} ${grams(massG)}`).join(', ')
