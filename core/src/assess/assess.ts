import type {
  Assessment,
  Dish,
  Finding,
  Ingredient,
  Kitchen,
  Library,
  PartAssessment,
  StepReading,
  StepUse,
} from '../model'
import { heldIdeas, warning } from '../ideas'
import { vesselKind } from '../program'
import { addSums, shareOfSums, totalsPer } from '../nutrition'
import {
  byHarm,
  dietsOf,
  doseFindings,
  equipmentFindings,
  exclusionFindings,
  findingKey,
  type Found,
  isAnimal,
  keptTooLong,
  limitFindings,
  type PartTime,
  type PortionFood,
  timeFindings,
  usedUnlisted,
} from '../rules'
import { servedBeside } from './beside'
import { type ReadWork, servedShares, takenShares, workDish } from './workDish'
import type { PartWork } from './workPart'

const placed = (found: Found, part: string | null): Finding => ({
  rule: found.rule,
  severity: found.severity,
  message: found.message,
  remedy: found.remedy,
  part,
  line: found.lineId ?? null,
  step: found.stepId ?? null,
  settled: null,
})

interface UsedFood {
  readonly food: Ingredient
  readonly lineId: string
  readonly partId: string
}

const usedFoods = (works: readonly PartWork[]): UsedFood[] =>
  works.flatMap(({ lines, assessment }) =>
    lines.flatMap(({ food, line }) =>
      food === null ? [] : [{ food, lineId: line.id, partId: assessment.partId }],
    ),
  )

/** What a portion holds of each line, as weighed in. */
const portionFoods = (dish: Dish, works: readonly PartWork[]): PortionFood[] =>
  works.flatMap(({ lines }) =>
    lines.flatMap(({ food, mass, line }): PortionFood[] =>
      food === null || mass === null
        ? []
        : [{ food, lineId: line.id, massG: mass.value / dish.aim.portions }],
    ),
  )

/** Foods that a method brings in without a line: the oil of a fryer. */
const broughtIn = (works: readonly PartWork[]): Ingredient[] =>
  works.flatMap(({ method }) =>
    method.program.ops.flatMap(({ oilRow }) => method.program.rows[oilRow]?.source.food ?? []),
  )

/** Time of the whole dish: hands are one pair, and a part waits for those that it takes. */
function wholeTime(works: readonly PartWork[]): PartTime {
  const byId = new Map(works.map((work) => [work.assessment.partId, work]))
  // Rings of parts are cut where they are worked out: what a part takes was made before it.
  const endOf = ({ assessment, takes }: PartWork): number =>
    assessment.time.totalMin +
    [...takes].reduce((longest, [id, share]) => {
      const taken = share > 0 ? byId.get(id) : undefined
      return taken === undefined ? longest : Math.max(longest, endOf(taken))
    }, 0)
  const handsMin = works.reduce((sum, { assessment }) => sum + assessment.time.handsMin, 0)
  return { handsMin, totalMin: Math.max(handsMin, ...works.map(endOf)) }
}

function dishFindings(
  dish: Dish,
  works: readonly PartWork[],
  foods: readonly UsedFood[],
  library: Library,
  assessment: Omit<Assessment, 'findings'>,
  kitchen: Kitchen,
): Finding[] {
  const exclusions = foods.flatMap((used) =>
    exclusionFindings([used], dish.aim, library).map((found) => placed(found, used.partId)),
  )
  const limits = limitFindings(dish.aim, assessment.perPortion, kitchen.currency).map((found) =>
    placed(found, null),
  )
  const equipment = (dish.aim.without.length === 0 ? [] : works).flatMap(
    ({ method, assessment: { partId } }) =>
      equipmentFindings(
        dish.aim,
        method.program.ops.map(({ step, spec }) => ({
          stepId: step.id,
          name: spec?.name ?? 'A step',
          kind: spec === null ? null : vesselKind(step, spec),
        })),
      ).map((found) => placed(found, partId)),
  )
  const portion = { massG: assessment.perPortion.massG, fibreG: assessment.perPortion.fibreG }
  const doses = doseFindings(portionFoods(dish, works), library, portion).map((found) =>
    placed(found, foods.find(({ lineId }) => lineId === found.lineId)?.partId ?? null),
  )
  const time = timeFindings(dish.aim, wholeTime(works)).map((found) => placed(found, null))
  const names = [dish.name, ...dish.parts.map(({ name }) => name)].join(' ')
  const lines = works.flatMap((work) => work.lines)
  const missing = dish.parts.flatMap((part) =>
    usedUnlisted(lines, part.steps, names, library).map((found) => placed(found, part.id)),
  )
  const animal = foods.find(({ food }) => isAnimal(food, library))
  const animals: Finding[] =
    animal === undefined
      ? []
      : [
          placed(
            {
              rule: 'animal-food',
              severity: 'info',
              lineId: animal.lineId,
              message: `${animal.food.name} is an animal food: the formula is transitional.`,
              remedy: 'Keep it on purpose, or swap it when you are ready.',
            },
            animal.partId,
          ),
        ]
  return [
    ...doses,
    ...exclusions,
    ...limits,
    ...equipment,
    ...time,
    ...animals,
    ...missing,
    ...putAway(dish, works, library),
    ...keptInMind(dish, assessment, kitchen),
  ]
}

/** A food that is more than a trace says how long a part keeps. Practice. */
const TRACE = 0.03
/** What the recipe's words say of keeping, against what is served: the part that no other takes. */
function putAway(dish: Dish, works: readonly PartWork[], library: Library): Finding[] {
  const taken = new Set(works.flatMap(({ takes }) => [...takes.keys()]))
  const [served] = works
    .filter(({ assessment }) => !taken.has(assessment.partId))
    .sort((a, b) => b.assessment.cookedMassG - a.assessment.cookedMassG)
  if (served === undefined) return []
  const { assessment, state } = served
  const classes = assessment.lines.flatMap(({ foodId, share }) => {
    const food = foodId === null ? undefined : library.ingredients.get(foodId)
    return food === undefined || (share ?? 0) < TRACE ? [] : [food.foodClass]
  })
  const massG = Math.max(1, state.cooked.massG)
  const texts = dish.written.length > 0 ? dish.written : dish.parts.flatMap(({ steps }) => steps)
  return keptTooLong([dish.note, ...texts.map(({ text }) => text)], {
    family: assessment.family,
    classes,
    waterPct: (100 * state.cooked.waterG) / massG,
    fatPct: (100 * state.cooked.fatG) / massG,
    pH: state.pH.value,
  }).map((found) => placed(found, assessment.partId))
}

/** What the dish does again that this kitchen has set aside. */
const keptInMind = (dish: Dish, { parts }: Pick<Assessment, 'parts'>, { ideas }: Kitchen): Finding[] =>
  heldIdeas(dish, { parts }, ideas).map(({ idea, partId, lineId, stepId }) => ({
    rule: `kept-in-mind-${idea.id}`,
    severity: 'caution',
    message: warning(idea, dish),
    remedy: 'Do without it, or settle it with what is different this time.',
    part: partId,
    line: lineId,
    step: stepId,
    settled: null,
  }))

/** What steps take as their words say it: what has no mass, and what another part lists, is named as well. */
function withReading(
  work: ReadWork,
  written: ReadonlyMap<string, number>,
  names: ReadonlyMap<string, string>,
  stated: ReadonlyMap<string, number>,
): PartAssessment {
  const { assessment, asRead } = work
  /** "All that is left" of a line that other steps take shares of is a share as well. */
  const shareOf = ({ kind, id, share }: StepUse): number | null => {
    const rest = 1 - (kind === 'line' ? (stated.get(id) ?? 0) : 0)
    return share ?? (rest > 1e-9 && rest < 1 - 1e-9 ? rest : null)
  }
  const steps = assessment.steps.map((step, at): StepReading => {
    const uses = asRead[at] ?? []
    const number = written.get(step.stepId) ?? null
    const isSame =
      number === null &&
      uses.length === step.takes.length &&
      uses.every((use, index) => {
        const take = step.takes[index]
        return take?.kind === use.kind && take.id === use.id && take.share === shareOf(use)
      })
    if (isSame) return step
    const takes = uses.map((use): StepReading['takes'][number] => {
      const { kind, id } = use
      const known = step.takes.find((take) => take.id === id && take.kind === kind)
      return {
        kind,
        id,
        share: shareOf(use),
        name: known?.name ?? names.get(id) ?? '',
        massG: known?.massG ?? 0,
      }
    })
    return { ...step, written: number, takes }
  })
  return steps.every((step, at) => step === assessment.steps[at]) ? assessment : { ...assessment, steps }
}

/** A part's assessment with what other parts take of it. */
function withTaken(
  assessment: PartAssessment,
  taken: ReadonlyMap<string, number>,
  beside: ReadonlyMap<string, number>,
): PartAssessment {
  const share = taken.get(assessment.partId)
  if (share === undefined) return assessment
  const takenG = share * assessment.cookedMassG
  const besideG = (beside.get(assessment.partId) ?? 0) * assessment.cookedMassG
  return {
    ...assessment,
    takenG,
    besideG,
    leftoverG: Math.max(0, assessment.cookedMassG - takenG - besideG),
  }
}

/** What is only wrong where nothing cooks it later: a bowl of dry ingredients is raw by nature. */
const HEATED_LATER: ReadonlySet<string> = new Set(['pulse-flour-raw', 'pulse-batter-raw', 'starch-raw'])
const NEARLY_ALL = 0.95
const COOKED_C = 90
/** Whether all of a part goes into others, and those are cooked through. */
function isHeatedLater(
  { assessment: { partId } }: PartWork,
  works: readonly PartWork[],
  taken: ReadonlyMap<string, number>,
): boolean {
  const takers = works.filter(({ takes }) => (takes.get(partId) ?? 0) > 0)
  return (taken.get(partId) ?? 0) >= NEARLY_ALL && takers.every(({ state }) => state.peakC >= COOKED_C)
}

/** Mass of a part's own lines, without what it takes of other parts, g. */
const ownMass = ({ lines }: PartWork): number => lines.reduce((sum, { mass }) => sum + (mass?.value ?? 0), 0)

/**
 * Assesses a dish: the one call that screens, files and the command line read.
 *
 * Pure: no clock, no input or output. Lines and parts are memoised by identity, so assessing after an edit works out
 * the edited part only.
 *
 * @param dish a valid Dish document
 * @param library ingredients, originals and allergens
 * @param kitchen measures, scales, prices
 * @param before an assessment of the dish before the last edit: its standard deviations stand in for those that are
 *   not worked out yet. For a screen between two keys; call again without it once the hand rests
 * @returns masses in g, energy in kcal, nutrients in g and mg, ratios with windows, attributes on 0 to 10 with their
 *   standard deviation, findings in order of harm; unknown values are null, partly known ones are named in `atLeast`
 */
export function assess(
  dish: Dish,
  library: Library,
  kitchen: Kitchen,
  before: Assessment | null = null,
): Assessment {
  const works = workDish(dish, library, kitchen, before)
  const taken = takenShares(works)
  const beside = servedBeside(dish, works, taken)
  const shares = servedShares(works, beside)
  // What another part takes is in that part: it counts once.
  const served = works.filter(({ assessment }) => !taken.has(assessment.partId))
  const aside = works.flatMap((work) => {
    const share = beside.get(work.assessment.partId)
    return share === undefined ? [] : [{ work, share }]
  })
  const sums = addSums([
    ...served.map((work) => work.sums),
    ...aside.map(({ work, share }) => shareOfSums(work.sums, share)),
  ])
  const rawMassG = works.reduce(
    (total, work) => total + ownMass(work) * (shares.get(work.assessment.partId) ?? 1),
    0,
  )
  const cookedMassG =
    served.reduce((total, { assessment }) => total + assessment.cookedMassG, 0) +
    aside.reduce((total, { work, share }) => total + share * work.assessment.cookedMassG, 0)
  const { portions } = dish.aim
  const names = new Map(
    dish.parts.flatMap(({ id, name, lines }) => [
      [id, name] as const,
      ...lines.map((line) => [line.id, line.food] as const),
    ]),
  )
  const stated = new Map<string, number>()
  for (const { kind, id, share } of works.flatMap(({ asRead }) => asRead.flat()))
    if (kind === 'line' && share !== null) stated.set(id, (stated.get(id) ?? 0) + share)
  const written = new Map(
    dish.written.flatMap(({ stepIds }, at) => stepIds.map((id) => [id, at + 1] as const)),
  )
  const foods = usedFoods(works)
  const hasUnknown = works.some(({ lines }) => lines.some(({ food }) => food === null))
  const known: Omit<Assessment, 'findings'> = {
    name: dish.name,
    portions,
    rawMassG,
    cookedMassG,
    parts: works.map((work) => withTaken(withReading(work, written, names, stated), taken, beside)),
    perPortion: totalsPer(sums, portions, cookedMassG / portions),
    per100g: totalsPer(sums, cookedMassG / 100, 100),
    allergens: [...new Set(foods.flatMap(({ food }) => food.allergens))].sort(),
    diets: dietsOf([...foods.map(({ food }) => food), ...broughtIn(works)], hasUnknown, library),
  }
  const findings = [
    ...works.flatMap((work) =>
      work.findings
        .filter(({ rule }) => !(HEATED_LATER.has(rule) && isHeatedLater(work, works, taken)))
        .map((one) => placed(one, work.assessment.partId)),
    ),
    ...dishFindings(dish, works, foods, library, known, kitchen),
  ]
  const reasons = new Map(dish.settled.map(({ key, reason }) => [key, reason]))
  return {
    ...known,
    findings: findings
      .map((finding) => ({ ...finding, settled: reasons.get(findingKey(finding)) ?? null }))
      .sort(byHarm),
  }
}
