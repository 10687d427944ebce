import { randomFrom } from '../chance'
import { fail, type Glass, ok, type Result, type Serving, type TastingSettings } from '../model'
import { blindingCodes, checkOrders, shuffled, spread, williams } from './orders'
import { protocolTable } from './protocols'

/** Orders of a test with a right answer; 0 = the control, 1 = the other. */
const FORCED_ORDERS: Readonly<Record<'triangle' | 'duotrio' | 'tetrad' | 'twoafc', readonly number[][]>> = {
  triangle: [
    [0, 0, 1],
    [0, 1, 0],
    [1, 0, 0],
    [1, 1, 0],
    [1, 0, 1],
    [0, 1, 1],
  ],
  tetrad: [
    [0, 0, 1, 1],
    [0, 1, 0, 1],
    [0, 1, 1, 0],
    [1, 1, 0, 0],
    [1, 0, 1, 0],
    [1, 0, 0, 1],
  ],
  duotrio: [
    [0, 1],
    [1, 0],
  ],
  twoafc: [
    [0, 1],
    [1, 0],
  ],
}

/** The samples as orders count them: the control first. */
export function orderedSamples({ samples, controlId }: TastingSettings): TastingSettings['samples'] {
  const control = samples.filter(({ id }) => id === controlId)
  return [...control, ...samples.filter(({ id }) => id !== controlId)]
}

/** Rows of orders for a protocol, each to be used as often as any other. */
function ordersFor(settings: TastingSettings): readonly number[][] {
  const { forced } = protocolTable(settings.protocol)
  if (forced !== null && forced !== 'threeafc') return FORCED_ORDERS[forced]
  return williams(settings.samples.length)
}

/** What keeps a tasting from being set out, in order; empty where nothing does. */
export function cannotBegin(settings: TastingSettings): string[] {
  const { samples, controlId, tasters, attributes, protocol, asksLiking, expectedId } = settings
  const { samples: bounds, needsControl, name, glasses } = protocolTable(protocol)
  const [least, most] = bounds
  const found: string[] = []
  if (samples.length < least || samples.length > most)
    found.push(
      least === most
        ? `${name} takes ${least} samples; there are ${samples.length}.`
        : `${name} takes ${least} to ${most} samples; there are ${samples.length}.`,
    )
  const isHeldAgainst = samples.some(({ id }) => id === controlId)
  if (needsControl && !isHeldAgainst) found.push('Say which sample the others are held against.')
  if (expectedId !== null && samples.every(({ id }) => id !== expectedId))
    found.push('The sample that is expected to have more is not among the samples.')
  if (tasters.length === 0) found.push('Nobody is down to taste.')
  if (new Set(tasters.map(({ id }) => id)).size < tasters.length)
    found.push('Two tasters have the same mark.')
  if (protocol === 'own' && tasters.length > 1) found.push('A cook’s own check has one taster.')
  if (protocol === 'profile' && attributes.length === 0) found.push('Choose what is rated.')
  if (protocol === 'jar' && attributes.length === 0) found.push('Choose what may be too little or too much.')
  if (protocol === 'jar' && !asksLiking)
    found.push('Just about right is read beside liking: ask for it, too.')
  const each = glasses ?? samples.length
  const all = tasters.length * (settings.rounds * each + (settings.warmsUp ? 1 : 0))
  if (all > MOST_GLASSES)
    found.push(
      `${all} glasses would need a code each; there are ${MOST_GLASSES}. Take fewer rounds or tasters.`,
    )
  if (settings.rounds * tasters.length > MOST_SERVINGS)
    found.push('More servings than one tasting keeps. Take fewer rounds or tasters.')
  return found
}
const MOST_GLASSES = 800
const MOST_SERVINGS = 500

/**
 * Who gets what, in which order, under which codes: orders as evenly as they go, codes all different.
 * @param settings the same settings, seed and ids give the same design
 * @returns servings by round, then by taster; or why it cannot begin
 */
export function designTasting(settings: TastingSettings): Result<Serving[]> {
  const [first, ...more] = cannotBegin(settings)
  const fault = (message: string) => ({ code: 'cannot-begin', path: [], message })
  if (first !== undefined) return fail(fault(first), ...more.map(fault))
  const { tasters, rounds, seed, warmsUp, protocol } = settings
  const { hasReference } = protocolTable(protocol)
  const samples = orderedSamples(settings)
  const chance = randomFrom(seed)
  const orders = ordersFor(settings)
  const rows = spread(orders, tasters.length * rounds, chance)
  const each = rows[0]?.length ?? 0
  const codes = blindingCodes(rows.length * each + (warmsUp ? tasters.length : 0), seed + 1)
  const referenceId = hasReference ? (samples[0]?.id ?? null) : null
  const glassesOf = (order: readonly number[]): Glass[] =>
    order.map((at) => ({ code: codes.pop() ?? 0, sampleId: samples[at]?.id ?? '' }))
  const warmUps = !warmsUp
    ? []
    : tasters.map(({ id }) => ({
        id: `${id}-0`,
        tasterId: id,
        round: 0,
        referenceId: null,
        glasses: glassesOf([0]),
      }))
  const servings = Array.from({ length: rounds }, (_, round) =>
    // Which taster gets which order is drawn anew each round.
    shuffled(rows.slice(round * tasters.length, (round + 1) * tasters.length), chance).map((order, at) => ({
      id: `${tasters[at]?.id ?? ''}-${round + 1}`,
      tasterId: tasters[at]?.id ?? '',
      round: round + 1,
      referenceId,
      glasses: glassesOf(order),
    })),
  ).flat()
  return ok([...warmUps, ...servings])
}

/** A tenth more than the cups take, so that the last one is as full as the first. Practice. */
const SPARE = 1.1

/** What of each sample is to be prepared: cups, those with its name on them too, and grams to the next ten. */
export function preparation(
  { samples, portionG }: TastingSettings,
  servings: readonly Serving[],
): readonly { readonly sampleId: string; readonly cups: number; readonly massG: number }[] {
  return samples.map(({ id: sampleId }) => {
    const cups = servings.reduce(
      (sum, { glasses, referenceId }) =>
        sum +
        glasses.filter((glass) => glass.sampleId === sampleId).length +
        (referenceId === sampleId ? 1 : 0),
      0,
    )
    return { sampleId, cups, massG: Math.ceil((cups * portionG * SPARE) / 10) * 10 }
  })
}

/** How evenly a design comes out, in words. */
export interface Evenness {
  readonly isEven: boolean
  readonly words: string
}

/** Whether each order, or each place and neighbour, comes as often as any other. */
export function evennessOf(settings: TastingSettings, servings: readonly Serving[]): Evenness {
  const asked = servings.filter(({ round }) => round > 0)
  const samples = orderedSamples(settings)
  const { forced } = protocolTable(settings.protocol)
  if (forced !== null) {
    const counts = new Map<string, number>(ordersFor(settings).map((order) => [order.join(), 0]))
    for (const { glasses } of asked) {
      const key = glasses.map(({ sampleId }) => samples.findIndex(({ id }) => id === sampleId)).join()
      counts.set(key, (counts.get(key) ?? 0) + 1)
    }
    const least = Math.min(...counts.values())
    const most = Math.max(...counts.values())
    return least === most
      ? { isEven: true, words: `each of the ${counts.size} orders ${timesWord(most)}` }
      : {
          isEven: false,
          words: `each of the ${counts.size} orders ${least} to ${most} times: as even as ${asked.length} go`,
        }
  }
  if (samples.length < 2) return { isEven: true, words: 'one sample: no order' }
  const check = checkOrders(
    samples.length,
    asked.map(({ glasses }) => glasses.map(({ sampleId }) => samples.findIndex(({ id }) => id === sampleId))),
  )
  if (check.positionBalanced && check.carryOverBalanced)
    return { isEven: true, words: 'balanced for place and for what comes before' }
  const places = check.positionCounts.flat()
  const unit = williams(samples.length).length
  return {
    isEven: false,
    words: `each sample ${Math.min(...places)} to ${Math.max(...places)} times in a place, each after each other ${check.pairCountMin} to ${check.pairCountMax} times; a multiple of ${unit} tastings would balance it`,
  }
}

const timesWord = (times: number): string => (times === 1 ? 'once' : times === 2 ? 'twice' : `${times} times`)
