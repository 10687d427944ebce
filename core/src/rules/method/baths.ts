import { type MethodRule, whole } from './story'

/** Alginate, calcium and their baths. @source functional-ingredient rules 12 to 15; limits practice */
export const BATH_RULES: readonly MethodRule[] = [
  {
    id: 'alginate-acid',
    severity: 'stop',
    about: 'alginate in an acid base',
    find: (story) =>
      story.of('alginate').flatMap((told) => {
        const at = story.through(told).find(({ reading }) => (reading.state.pH ?? 7) < 4)
        return at === undefined
          ? []
          : [
              {
                lineId: told.id,
                stepId: at.step.id,
                message: `Alginate falls out of an acid base (about pH ${(at.reading.state.pH ?? 0).toFixed(1)}).`,
                remedy: 'Buffer the base with a little citrate, or put the alginate in the bath.',
              },
            ]
      }),
  },
  {
    id: 'alginate-with-calcium',
    severity: 'stop',
    about: 'alginate in a base that holds calcium',
    find: (story) =>
      story.of('alginate').flatMap((told) => {
        const step = story.trace[story.joins(told)]
        const own =
          step === undefined
            ? story.foods
            : story.foods.filter(({ id }) => step.holds.some((source) => source.id === id))
        const mass = own.reduce((sum, { massG }) => sum + massG, 0)
        const calcium = own.reduce(
          (sum, { food, massG }) => sum + ((food.per100g.calciumMg ?? 0) * massG) / 100,
          0,
        )
        return mass > 0 && (100 * calcium) / mass > 20
          ? [
              {
                lineId: told.id,
                message: `The base holds ${whole((100 * calcium) / mass)} mg calcium per 100 g: it gels before it drops.`,
                remedy: 'Use the reverse way: calcium in the base, alginate in the bath.',
              },
            ]
          : []
      }),
  },
  {
    id: 'alginate-not-rested',
    severity: 'caution',
    about: 'alginate dropped before its bubbles have risen',
    find: (story) =>
      story.of('alginate').flatMap((told) => {
        const dropped = story.did(told, 'spherify')[0]
        const rested = story.restBefore(told, ['spherify'])
        return dropped === undefined || rested >= 120
          ? []
          : [
              {
                lineId: told.id,
                stepId: dropped.step.id,
                message: `The alginate rests ${whole(rested)} min before it is dropped: bubbles stay in, and the spheres float and burst.`,
                remedy: 'Rest it 2 to 24 hours, blended in soft water.',
              },
            ]
      }),
  },
  {
    id: 'bath-too-long',
    severity: 'caution',
    about: 'spheres left in the bath, or not rinsed',
    find: (story) =>
      story.trace.flatMap(({ spec, reading, step }, at) => {
        if (spec?.id !== 'spherify' || reading.massG <= 0) return []
        const rinsed =
          story.trace.slice(at + 1).some((later) => later.spec?.id === 'rinse') || /\brins/i.test(step.text)
        if (reading.minutes <= 4 && rinsed) return []
        return [
          {
            stepId: step.id,
            message:
              reading.minutes > 4
                ? `After ${whole(reading.minutes)} min in the bath a sphere is solid through, and bitter.`
                : 'Bath liquid left on the spheres goes on gelling and tastes bitter.',
            remedy: 'Lift them out within 4 minutes and rinse them.',
          },
        ]
      }),
  },
]
