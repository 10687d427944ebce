import { randomFrom } from '../src/chance'
import { PlanProblem } from '../src/schedule'

const STEPS = ['chop', 'mix', 'rest', 'shape', 'steam', 'sear', 'bake', 'chill', 'blend', 'plate'] as const
const BANDS = [
  { low: 160, high: 175 },
  { low: 175, high: 200 },
  { low: 200, high: 220 },
  { low: 205, high: 230 },
] as const

/**
 * A made-up day: chains of steps that meet at times, on a cook and up to three machines.
 * @param size tasks, 3 upward
 * @param machines beside the cook, 0 to 3
 */
export function planInstance(seed: number, size: number, machines: number): PlanProblem {
  const random = randomFrom(seed)
  const upTo = (most: number): number => Math.floor(random() * most)
  const kinds = ['oven', 'burner', 'blender'].slice(0, machines)
  const capacity: Record<string, number> = {
    cook: random() < 0.8 ? 1 : 2,
    oven: 1 + upTo(2),
    burner: 2 + upTo(2),
    blender: 1,
  }
  const tasks: unknown[] = []
  const chains: string[][] = Array.from({ length: Math.max(1, Math.round(size / 5)) }, () => [])
  for (let at = 0; at < size; at += 1) {
    const chain = chains[upTo(chains.length)] ?? []
    const id = `${STEPS[upTo(STEPS.length)] ?? 'mix'}-${at}`
    const roll = random()
    const machine = kinds[upTo(kinds.length)]
    const uses: Record<string, number> = {}
    if (roll < 0.55) uses.cook = 1
    if (machine !== undefined && (roll >= 0.55 || random() < 0.2) && roll < 0.9) uses[machine] = 1
    const after = [chain.at(-1), random() < 0.12 ? chains[upTo(chains.length)]?.at(-1) : undefined]
      .filter((one): one is string => one !== undefined)
      .filter((one, place, all) => all.indexOf(one) === place)
      .map((other) => ({
        id: other,
        minLagMin: random() < 0.15 ? upTo(12) : 0,
        ...(random() < 0.3 ? { maxLagMin: 12 + upTo(40) } : {}),
      }))
    tasks.push({
      id,
      durationMin: uses.cook === 1 ? 2 + upTo(10) : 8 + upTo(35),
      uses,
      ...(uses.oven === 1 ? { tempC: BANDS[upTo(BANDS.length)] } : {}),
      after,
    })
    chain.push(id)
  }
  const away = random() < 0.3 ? [{ resource: 'cook', fromMin: 20 + upTo(40), toMin: 62 + upTo(30) }] : []
  return PlanProblem.parse({
    resources: ['cook', ...kinds].map((id) => ({
      id,
      capacity: capacity[id],
      sharedTemperature: id === 'oven',
    })),
    tasks,
    away,
  })
}
