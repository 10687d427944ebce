import { type MethodRule, Story, whole } from './story'

const GLUTEN = 'gluten'
/** From this share on gluten is the structure, % of the mix. */
const STRUCTURE_PCT = 20
/** Kneading lets gluten draw half of what the other foods would hold. @source practice */
const DRAWN = 0.5
const HOLDING_CAP = 10

/** Effective water per gluten, g/g. @source R_eff of the functional-ingredient page: medium 1.2 to 1.5, spongy above 2 */
export function effectiveHydration(story: Story): number | null {
  const gluten = story.of(GLUTEN)
  if (gluten.length === 0 || story.pct(...gluten) < STRUCTURE_PCT) return null
  let water = story.state.mixed.waterG
  let mass = 0
  for (const { food, massG } of gluten) {
    mass += massG
    water -= ((food.per100g.waterG ?? 0) * massG) / 100
  }
  for (const { food, entry, massG } of story.foods)
    if (!entry.traits.has(GLUTEN) && food.foodClass !== 'water')
      water -= DRAWN * massG * Math.min(HOLDING_CAP, food.holding?.coldGPerG ?? 0)
  return water / mass
}

/** Wheat gluten. @source functional-ingredient rules 25 to 31, section 6; Schofield et al. 1983; limits practice */
export const GLUTEN_RULES: readonly MethodRule[] = [
  {
    id: 'gluten-blended',
    severity: 'caution',
    about: 'gluten in the blender',
    find: (story) =>
      story.of(GLUTEN).flatMap((told) =>
        story
          .did(told, 'blend')
          .filter(({ reading }) => reading.minutes > 1)
          .slice(0, 1)
          .map(({ step, reading }) => ({
            lineId: told.id,
            stepId: step.id,
            message: `${whole(reading.minutes)} min in the blender tears the gluten: the dough turns short and spongy.`,
            remedy: 'Blend the rest first, add the gluten last and knead it.',
          })),
      ),
  },
  {
    id: 'gluten-too-wet',
    severity: 'caution',
    about: 'more water than gluten binds',
    find: (story) => {
      const ratio = effectiveHydration(story)
      const told = story.of(GLUTEN)[0]
      return ratio === null || ratio <= 2 || told === undefined
        ? []
        : [
            {
              lineId: told.id,
              message: `${ratio.toFixed(1)} g of water for each gram of gluten: the free water turns to steam and the dough to sponge.`,
              remedy: 'Bring it to 1.2 to 1.5: less liquid, or more gluten.',
            },
          ]
    },
  },
  {
    id: 'gluten-too-dry',
    severity: 'caution',
    about: 'less water than gluten needs',
    find: (story) => {
      const ratio = effectiveHydration(story)
      const told = story.of(GLUTEN)[0]
      return ratio === null || ratio >= 0.8 || told === undefined
        ? []
        : [
            {
              lineId: told.id,
              message: `${ratio.toFixed(1)} g of water for each gram of gluten leaves dry, floury lumps.`,
              remedy: 'Add water, up to 1.2 to 1.5 for each gram.',
            },
          ]
    },
  },
  {
    id: 'gluten-boiled-hard',
    severity: 'stop',
    about: 'gluten dough at a rolling boil',
    find: (story) =>
      story.of(GLUTEN).flatMap((told) => {
        if (story.pct(told) < STRUCTURE_PCT) return []
        const step = story
          .did(told, 'boil', 'simmer')
          .find(
            ({ spec, tempC, step }) =>
              spec?.id === 'boil' || (tempC ?? 95) > 96 || /\brolling boil\b/i.test(step.text),
          )
        return step === undefined
          ? []
          : [
              {
                lineId: told.id,
                stepId: step.step.id,
                message: 'A rolling boil puffs gluten into a sponge.',
                remedy: 'Keep the broth at 85 to 95 °C, just trembling, or steam it wrapped.',
              },
            ]
      }),
  },
  {
    id: 'gluten-underdone',
    severity: 'stop',
    about: 'gluten dough whose core does not set',
    find: (story) =>
      story.of(GLUTEN).flatMap((told) => {
        const cooked = story
          .through(told)
          .some(({ spec }) => spec !== null && spec.medium !== 'none' && spec.medium !== 'cold')
        const reached = story.maxC(told)
        return cooked && story.pct(told) >= STRUCTURE_PCT && reached < 85
          ? [
              {
                lineId: told.id,
                message: `The core reaches about ${whole(reached)} °C; gluten sets at 75 to 90 °C and stays doughy below.`,
                remedy: 'Cook longer or thinner, until the core passes 85 °C.',
              },
            ]
          : []
      }),
  },
  {
    id: 'gluten-not-rested',
    severity: 'caution',
    about: 'gluten dough shaped without a rest',
    find: (story) =>
      story.of(GLUTEN).flatMap((told) => {
        if (story.pct(told) < STRUCTURE_PCT) return []
        const shaped = story.did(told, 'shape')[0]
        return shaped === undefined || story.restBefore(told, ['shape']) >= 10
          ? []
          : [
              {
                lineId: told.id,
                stepId: shaped.step.id,
                message: 'Dough that was just worked springs back from its shape.',
                remedy: 'Rest it 10 to 30 minutes before it is shaped.',
              },
            ]
      }),
  },
  {
    id: 'fat-before-gluten',
    severity: 'caution',
    about: 'much fat before the gluten has its water',
    find: (story) => {
      const gluten = story.of(GLUTEN).find((told) => story.pct(told) >= STRUCTURE_PCT)
      const fats = story.of((food) => food.foodClass === 'fat')
      if (gluten === undefined || story.pct(...fats) <= 15) return []
      const at = story.joins(gluten)
      const early = fats.find((fat) => {
        const joined = story.joins(fat)
        return joined >= 0 && joined < at
      })
      return early === undefined
        ? []
        : [
            {
              lineId: gluten.id,
              message: `${whole(story.pct(...fats))} % fat coats the gluten before it is wet: the network stays short.`,
              remedy: 'Hydrate and knead the gluten first; work the fat in last.',
            },
          ]
    },
  },
]
