import { partingFraction } from '../laws/parting'
import { itemOf, massOf, sourceOf } from '../lots/item'
import { discard, drip, evaporateFrom, type Lot, lotSums, shed, soakInto, wet } from '../lots/lot'
import { constantFor, type StepContext } from './context'

/** Water that stays on drained pieces, share of their mass. @source film 3 to 6 % of beans, 1 to 2 % cubes; practice */
const FILM = 0.03
/** Salt that a rinse takes off drained canned food. @source sodium −36 % drained, −41 % rinsed: Duyff, Mount and Jones 2011 */
const RINSED_SALT = 1 - (1 - 0.41) / (1 - 0.36)
/** Salt that leaves brined food in changes of water. @source 1/(1 + r) with r = 3, less what time allows; practice */
const DESALTED = 0.7

/** Liquid runs off; a film stays with the pieces. Draining twice changes nothing more. */
export function drain(lot: Lot, { ledger }: StepContext): void {
  const liquids = lot.items.filter(({ source }) => source.kind.isLiquid)
  const pieces = lot.items.filter(({ source }) => !source.kind.isLiquid)
  if (liquids.length === 0 || pieces.length === 0) return
  let loose = 0
  let all = 0
  for (const item of lot.items) all += item.waterG
  for (const item of liquids) loose += item.waterG
  if (loose <= 1e-9) return
  const piecesG = pieces.reduce((sum, item) => sum + massOf(item), 0)
  const film = Math.min(loose, FILM * piecesG)
  if (piecesG > 0) for (const item of pieces) soakInto(item, liquids, (film * massOf(item)) / piecesG)
  const share = (loose - film) / all
  for (const item of pieces) shed(item, ['saltG', 'solubleG', 'alcoholG'], share, 'drained', ledger)
  // What the film carries stays on the record of its own food: it has no water of its own any more.
  for (const item of liquids) {
    shed(item, ['waterG'], 1, 'drained', ledger)
    shed(
      item,
      ['alcoholG', 'fatG', 'saltG', 'solubleG', 'solidG', 'inertG'],
      1 - film / loose,
      'drained',
      ledger,
    )
  }
}

function rinse(lot: Lot, context: StepContext, share: number): void {
  drain(lot, context)
  for (const item of lot.items) shed(item, ['saltG'], share, 'rinsed off', context.ledger)
}

/** Juice leaves under weight, by hand, or after freezing. */
function pressOut(lot: Lot, context: StepContext, minutes: number): void {
  const { spec, ledger, fit } = context
  for (const item of lot.items) {
    const longTime = constantFor(context, lot, item)
    if (longTime === null || longTime >= 1) continue
    if (spec.id === 'press') {
      if (item.pressedFromG === 0) item.pressedFromG = massOf(item)
      const rest = item.pressedFromG * (1 - (1 - longTime) * Math.exp(fit.lnRatio))
      const mass = massOf(item)
      const target = rest + (mass - rest) * partingFraction('press', 0, minutes)
      if (target < mass) drip(item, mass - target, 'pressed out', ledger)
    } else
      drip(item, massOf(item) * (1 - partingFraction(spec.id, longTime, minutes)), 'squeezed out', ledger)
  }
}

/** Something sticks to bowl, board or jug. */
function leaveOnTools(lot: Lot, context: StepContext): void {
  const { massG, waterG } = lotSums(lot)
  const isThin = massG > 0 && waterG / massG > 0.85
  for (const item of lot.items) {
    const kept =
      context.spec.id === 'blend' || context.spec.id === 'mash'
        ? (constantOfGroup(context, isThin || context.spec.id === 'mash' ? 'liquid' : 'puree') ?? 1)
        : (constantFor(context, lot, item) ?? 1)
    if (kept < 1) discard(item, 1 - kept, 'left on the tools', context.ledger)
  }
}

const constantOfGroup = ({ library }: StepContext, group: string): number | null =>
  library.rates.find(
    (rate) => rate.operation === 'blend' && rate.group === group && rate.ingredientId === null,
  )?.value ?? null

/** Steam condenses on cool food, or juice drips from it. */
function steamed(lot: Lot, context: StepContext): void {
  for (const item of lot.items) {
    const factor = lot.isMixed
      ? (context.library.rates.find(
          (rate) =>
            rate.operation === (context.step.settings.isWrapped ? 'steam-wrapped' : 'steam') &&
            rate.group === 'gluten',
        )?.value ?? 1)
      : (constantFor(context, lot, item) ?? 1)
    const change = massOf(item) * (factor - 1)
    if (change > 0) wet(item, change, 'condensed', context.ledger)
    else if (change < 0) drip(item, -change, 'dripped', context.ledger)
  }
}

/** Most of the marinade's water that goes in, by a food's own constant. */
function marinated(lot: Lot, context: StepContext, minutes: number): void {
  const liquids = lot.items.filter(({ source }) => source.kind.isLiquid)
  if (liquids.length === 0) return
  for (const item of lot.items) {
    if (item.source.kind.isLiquid) continue
    const longTime = constantFor(context, lot, item) ?? 1
    const gain = massOf(item) * (partingFraction('marinate', longTime, minutes) - 1)
    if (gain > 0) soakInto(item, liquids, gain)
  }
}

/** Insoluble matter that a cloth keeps from a nut or soy milk, and the water it holds, g/g. @source pulp 1.5 to 2.5; practice */
const PULP_SOLIDS = 0.5
const PULP_WATER = 2

function strained(lot: Lot, context: StepContext): void {
  const { waterG } = lotSums(lot)
  let pulp = 0
  for (const item of lot.items)
    if (!item.source.kind.isLiquid) {
      const left = shed(item, ['solidG', 'fatG'], PULP_SOLIDS, 'strained off', context.ledger)
      pulp += left
    }
  if (pulp === 0) {
    const longTime = lot.items.map((item) => constantFor(context, lot, item)).find((known) => known !== null)
    for (const item of lot.items)
      drip(item, massOf(item) * (1 - (longTime ?? 1)), 'whey drained', context.ledger)
    return
  }
  const held = Math.min(0.9, (PULP_WATER * pulp) / Math.max(waterG, 1e-9))
  for (const item of lot.items)
    shed(item, ['waterG', 'saltG', 'solubleG'], held, 'strained off', context.ledger)
}

/** A food becomes another of the library, of so much mass; what it does not hold has left. */
function become(lot: Lot, context: StepContext, foodId: string, massG: number, what: string): void {
  const food = context.library.ingredients.get(foodId) ?? null
  const before = lotSums(lot)
  if (food === null || massG <= 0) return
  const made = itemOf(sourceOf(foodId, food.name, food), massG)
  context.ledger.lose(what, before.massG, before.waterG)
  context.ledger.gain('kept as ' + food.name.toLowerCase(), massG, made.waterG)
  lot.items = [made]
}

const FLOUR = new Set(['flour', 'gluten', 'grain'])

/** Dry heat drives off the little water that nuts, seeds and spices hold. */
function toasted(lot: Lot, context: StepContext): void {
  for (const item of lot.items) {
    const factor = constantFor(context, lot, item)
    if (factor === null || factor >= 1) continue
    evaporateFrom(item, massOf(item) * (1 - factor) * Math.exp(context.fit.lnRatio), context.ledger)
  }
}

function washed(lot: Lot, context: StepContext): void {
  let wetGluten = 0
  for (const item of lot.items) {
    if (!FLOUR.has(item.source.kind.group)) continue
    wetGluten += item.rawG * (constantFor(context, lot, item) ?? 0)
  }
  become(lot, context, 'washed-dough-gluten', wetGluten, 'starch and water washed out')
}

function curdled(lot: Lot, context: StepContext): void {
  const { massG } = lotSums(lot)
  const [factor] = lot.items.flatMap((item) => constantFor(context, lot, item) ?? [])
  if (factor !== undefined) become(lot, context, 'tofu-firm', massG * factor, 'whey')
}

/** Operations that part food from water, juice, trimmings or crumbs, or that let something cling to it. */
export function part(context: StepContext, lot: Lot, minutes: number): void {
  switch (context.spec.id) {
    case 'drain':
      drain(lot, context)
      break
    case 'rinse':
      rinse(lot, context, RINSED_SALT)
      break
    case 'desalt':
      rinse(lot, context, DESALTED)
      break
    case 'press':
    case 'squeeze':
    case 'freeze-thaw':
      pressOut(lot, context, minutes)
      break
    case 'chop':
    case 'grate':
    case 'rice':
    case 'mash':
    case 'blend':
      leaveOnTools(lot, context)
      break
    case 'steam':
      steamed(lot, context)
      break
    case 'marinate':
      marinated(lot, context, minutes)
      break
    case 'strain':
      strained(lot, context)
      break
    case 'toast':
      toasted(lot, context)
      break
    case 'wash-gluten':
      washed(lot, context)
      break
    case 'coagulate':
      curdled(lot, context)
      break
    default:
      break
  }
}
