import { assess } from '@frijol/core/assess'
import { randomFrom } from '@frijol/core/chance'
import type {
  Ask,
  Dish,
  Kitchen,
  Seat,
  Tasting,
  TastingAnswer,
  TastingSample,
  TastingSettings,
  Trial,
} from '@frijol/core/model'
import {
  answered,
  asksOf,
  designTasting,
  isRight,
  originalAllergens,
  picksOf,
  scaleOf,
} from '@frijol/core/sensory'
import { library } from '@frijol/library'

/** Who tastes at Saltmarsh Row: marks, no names. */
export const panel: Kitchen['panel'] = [
  { id: 'P1', avoids: [], eats: 'everything' },
  { id: 'P2', avoids: [], eats: 'everything' },
  { id: 'P3', avoids: [], eats: 'everything' },
  { id: 'P4', avoids: [], eats: 'everything' },
  { id: 'P5', avoids: [], eats: 'everything' },
  { id: 'P6', avoids: [], eats: 'everything' },
  { id: 'P7', avoids: ['sesame'], eats: 'everything' },
  { id: 'P8', avoids: ['peanut'], eats: 'no-meat-or-fish' },
]
/** P8 has said yes to the original each time, expressly. */
const seats = (count: number): Seat[] =>
  panel.slice(0, count).map((taster) => ({ ...taster, agreesToAnimal: true }))

const usual = (
  more: Partial<TastingSettings> & Pick<TastingSettings, 'protocol' | 'samples'>,
): TastingSettings => ({
  controlId: more.samples.find(({ kind }) => kind === 'original')?.id ?? null,
  by: null,
  expectedId: null,
  attributes: [],
  asksLiking: false,
  tasters: seats(8),
  rounds: 1,
  alpha: 0.05,
  detects: 1.5,
  scatter: 1.8,
  similarPd: null,
  seed: 20_260_610,
  portionG: 30,
  servedC: 65,
  vessel: 'white cups with lids',
  rinse: 'water and plain unsalted bread',
  restS: 60,
  warmsUp: false,
  ...more,
})

/** What the made-up tasters say: where each sample lies, how far they scatter, who leans. */
interface Says {
  readonly at: Readonly<Record<string, Readonly<Partial<Record<Ask, number>>>>>
  readonly scatter: number
  readonly leans?: Readonly<Record<string, number>>
}

function scoresOf(tasting: Tasting, { at, scatter, leans = {} }: Says, seed: number): TastingAnswer[] {
  const chance = randomFrom(seed)
  const normal = () => Math.sqrt(-2 * Math.log(1 - chance())) * Math.cos(2 * Math.PI * chance())
  return answered(tasting).map(({ serving }) => ({
    servingId: serving.id,
    at: tasting.design?.at ?? 0,
    by: 'tablet',
    picked: [],
    comment: '',
    isWhole: true,
    marks: serving.glasses.flatMap(({ code, sampleId }) =>
      asksOf(tasting.settings).map((ask) => {
        const { least, most, step } = scaleOf(tasting.settings.protocol, ask, serving.glasses.length)
        const mean = at[sampleId]?.[ask] ?? (least + most) / 2
        const value = mean + (leans[serving.tasterId] ?? 0) + scatter * normal()
        return { code, ask, value: Math.min(most, Math.max(least, Math.round(value / step) * step)) }
      }),
    ),
  }))
}

/** Those named were right, the others were not. */
function picksBy(tasting: Tasting, right: readonly string[]): TastingAnswer[] {
  return answered(tasting).map(({ serving }) => {
    const codes = serving.glasses.map(({ code }) => code)
    const choices =
      picksOf(tasting.settings) === 2
        ? codes.slice(1).map((code) => [codes[0] ?? 0, code])
        : codes.map((code) => [code])
    const wanted = right.includes(serving.tasterId)
    return {
      servingId: serving.id,
      at: tasting.design?.at ?? 0,
      by: 'paper',
      picked: choices.find((picked) => isRight(tasting.settings, serving, picked) === wanted) ?? [],
      marks: [],
      comment: '',
      isWhole: true,
    }
  })
}

const commented = (
  answers: readonly TastingAnswer[],
  said: Readonly<Record<string, string>>,
): TastingAnswer[] => answers.map((answer) => ({ ...answer, comment: said[answer.servingId] ?? '' }))

/** The tastings of the menu so far. */
export function tastingsOf(dishes: readonly Dish[], trials: readonly Trial[], kitchen: Kitchen): Tasting[] {
  const dishOf = (id: string): Dish => {
    const found = dishes.find((dish) => dish.id === id)
    if (found === undefined) throw new Error(`There is no dish ${id}.`)
    return found
  }
  /** The first part of a trial. */
  const ours = (dishId: string, number: number): TastingSample => {
    const trial = trials.find((one) => one.dishId === dishId && one.number === number)
    const dish = dishOf(dishId)
    const shown = { ...dish, parts: trial?.parts ?? dish.parts }
    const { parts, allergens } = assess(shown, library, { ...kitchen, tasted: [] })
    const [part] = shown.parts
    const [reading] = parts
    const isPart = shown.parts.length > 1
    return {
      id: `t${number}`,
      kind: trial === undefined ? 'mix' : 'trial',
      label: `Trial ${number}${isPart ? `, ${(part?.name ?? '').toLowerCase()}` : ''}`,
      trialNumber: number,
      partId: part?.id ?? null,
      originalId: part?.originalId ?? null,
      family: part?.family ?? null,
      allergens,
      isAnimal: false,
      predicted: Object.fromEntries(
        (reading?.attributes ?? []).map(({ id, value, sd }) => [
          id,
          { value: Number(value.toFixed(2)), sd: Number(sd.toFixed(2)) },
        ]),
      ),
    }
  }
  const theirs = (id: string, label: string): TastingSample => {
    const original = library.originals.get(id)
    if (original === undefined) throw new Error(`There is no original ${id}.`)
    return {
      id: 'original',
      kind: 'original',
      label,
      trialNumber: null,
      partId: null,
      originalId: id,
      family: original.family,
      allergens: [...originalAllergens(original)],
      isAnimal: true,
      predicted: Object.fromEntries(
        Object.entries(original.attributes).map(([key, value]) => [key, { value, sd: 0 }]),
      ),
    }
  }
  const held = (
    id: string,
    dishId: string,
    day: string,
    settings: TastingSettings,
    answersOf: (tasting: Tasting) => TastingAnswer[],
  ): Tasting => {
    const servings = designTasting(settings)
    if (!servings.ok) throw new Error(servings.issues[0]?.message)
    const at = Date.parse(`${day}T14:00:00Z`)
    const tasting: Tasting = {
      format: 'frijol/tasting',
      version: 1,
      id,
      dishId,
      name: dishOf(dishId).name,
      createdAt: `${day}T09:00:00Z`,
      updatedAt: `${day}T15:00:00Z`,
      settings,
      design: { at, servings: servings.value },
      answers: [],
      closedAt: at + 3_600_000,
    }
    return { ...tasting, answers: answersOf(tasting) }
  }
  const lamb = theirs('lamb_mince', 'Minced lamb, browned')
  return [
    held(
      'tasting-moussaka-profile',
      'moussaka',
      '2026-06-10',
      usual({
        protocol: 'profile',
        samples: [lamb, ours('moussaka', 2)],
        attributes: ['juiciness', 'chewiness', 'crumbliness', 'richness', 'umami', 'roasted'],
        rounds: 2,
      }),
      (tasting) =>
        commented(
          scoresOf(
            tasting,
            {
              at: {
                original: {
                  juiciness: 5.2,
                  chewiness: 5.4,
                  crumbliness: 6,
                  richness: 6.4,
                  umami: 6,
                  roasted: 6.2,
                },
                t2: {
                  juiciness: 4.6,
                  chewiness: 3.9,
                  crumbliness: 6.1,
                  richness: 4.6,
                  umami: 6.3,
                  roasted: 6.4,
                },
              },
              scatter: 0.7,
              leans: { P2: -0.4, P4: 0.3, P5: 1.3, P7: -0.6 },
            },
            61,
          ),
          { 'P3-1': 'Where is the lamb fat?', 'P6-2': 'Bite is short, then it is gone.' },
        ),
    ),
    held(
      'tasting-moussaka-triangle',
      'moussaka',
      '2026-06-12',
      usual({ protocol: 'triangle', samples: [lamb, ours('moussaka', 2)], seed: 20_260_612 }),
      (tasting) => picksBy(tasting, ['P1', 'P3', 'P4', 'P6', 'P8']),
    ),
    held(
      'tasting-souvlaki-control',
      'souvlaki-strips',
      '2026-06-12',
      usual({
        protocol: 'control',
        samples: [
          theirs('chicken_thigh', 'Chicken thigh, roasted'),
          ours('souvlaki-strips', 1),
          ours('souvlaki-strips', 2),
        ],
        tasters: seats(6),
        rounds: 2,
        seed: 1206,
      }),
      (tasting) =>
        scoresOf(
          tasting,
          {
            at: { original: { difference: 1.2 }, t1: { difference: 6.8 }, t2: { difference: 4.1 } },
            scatter: 0.9,
            leans: { P5: 0.8 },
          },
          12,
        ),
    ),
    held(
      'tasting-block-jar',
      'brined-white-block',
      '2026-06-09',
      usual({
        protocol: 'jar',
        samples: [ours('brined-white-block', 2)],
        controlId: null,
        attributes: ['crumbliness', 'saltiness', 'sourness', 'creaminess'],
        asksLiking: true,
        servedC: 12,
        portionG: 20,
        seed: 906,
      }),
      (tasting) =>
        scoresOf(
          tasting,
          {
            at: { t2: { liking: 5.9, crumbliness: 2, saltiness: 3.1, sourness: 2.4, creaminess: 3 } },
            scatter: 0.8,
          },
          91,
        ),
    ),
    held(
      'tasting-avgolemono-triangle',
      'avgolemono',
      '2026-06-08',
      usual({
        protocol: 'triangle',
        samples: [theirs('egg_lemon_sauce', 'Egg and lemon sauce'), ours('avgolemono', 1)],
        tasters: seats(6),
        seed: 806,
      }),
      (tasting) => picksBy(tasting, ['P1', 'P2', 'P3', 'P4', 'P5', 'P6']),
    ),
  ]
}
