import { acids, sourestWhileHot } from './gels'
import { type MethodRule, Story, whole } from './story'

const STARCHES = 'starch'
const FLOURS = 'thickening-flour'
const SLURRY = /\bslurry|\bcold water|\bcold (?:milk|stock)|\bdissolve|\bwhisk(?:ed)? with (?:a little|cold)/i

/** Starches and flours. @source functional-ingredient rules 17 to 24, 38, 52; limits practice */
export const STARCH_RULES: readonly MethodRule[] = [
  {
    id: 'starch-raw',
    severity: 'caution',
    about: 'starch below its gelatinisation',
    find: (story) =>
      story.of(STARCHES).flatMap((told) => {
        const needed = told.entry.fact?.cookedC ?? told.entry.starch.highC
        const reached = story.maxC(told)
        return story.hasSteps && reached < needed
          ? [
              {
                lineId: told.id,
                message: `${told.food.name} swells only above ${needed} °C; here it reaches ${whole(reached)} °C and stays chalky.`,
                remedy: `Cook it until it passes ${needed} °C and turns clear.`,
              },
            ]
          : []
      }),
  },
  {
    id: 'starch-into-hot',
    severity: 'caution',
    about: 'dry starch into hot liquid',
    find: (story) =>
      story.of(STARCHES).flatMap((told) => {
        const at = story.joins(told)
        const step = story.trace[at]
        const before = story.trace
          .slice(0, at)
          .findLast((earlier) =>
            step?.reading.takes.some(({ kind, id }) => kind === 'step' && id === earlier.step.id),
          )
        if (
          step === undefined ||
          before === undefined ||
          before.reading.state.coreC <= 60 ||
          SLURRY.test(step.step.text)
        )
          return []
        return [
          {
            lineId: told.id,
            stepId: step.step.id,
            message: `${told.food.name} goes dry into a lot of ${whole(before.reading.state.coreC)} °C: it lumps.`,
            remedy: 'Stir it into twice its mass of cold water first.',
          },
        ]
      }),
  },
  {
    id: 'arrowroot-boiled',
    severity: 'caution',
    about: 'arrowroot boiled long',
    find: (story) =>
      story.of('arrowroot').flatMap((told) =>
        story.minutesAt(told, 93) > 2
          ? [
              {
                lineId: told.id,
                message: `Arrowroot thins when it boils; here it is hot for ${whole(story.minutesAt(told, 93))} min.`,
                remedy: 'Stir it in at the end and stop at the first bubble.',
              },
            ]
          : [],
      ),
  },
  {
    id: 'arrowroot-with-soy',
    severity: 'caution',
    about: 'arrowroot with soy milk or yogurt',
    find: (story) => {
      const told = story.of('arrowroot')[0]
      const milk = story.of('slimes-arrowroot')[0]
      return told === undefined || milk === undefined
        ? []
        : [
            {
              lineId: told.id,
              message: `Arrowroot turns slimy with ${Story.name(milk)}.`,
              remedy: 'Use corn or tapioca starch.',
            },
          ]
    },
  },
  {
    id: 'potato-starch-broken',
    severity: 'caution',
    about: 'potato starch cooked long or sheared',
    find: (story) =>
      story.of('shear-starch').flatMap((told) => {
        const steps = story.through(told)
        const hot = steps.findIndex(({ reading }) => reading.state.coreC >= 68)
        const sheared = hot >= 0 && steps.slice(hot + 1).some(({ spec }) => spec?.id === 'blend')
        const minutes = story.minutesAt(told, 90)
        const isLiquid = steps.some(({ spec }) => spec?.medium === 'liquid')
        if (!sheared && !(isLiquid && minutes > 5)) return []
        return [
          {
            lineId: told.id,
            message: sheared
              ? 'A blender breaks swollen potato starch: it turns thin and gluey.'
              : `Potato starch thins after 5 minutes at a simmer; here ${whole(minutes)}.`,
            remedy: 'Add it late and stir gently.',
          },
        ]
      }),
  },
  {
    id: 'starch-acid-boil',
    severity: 'caution',
    about: 'starch boiled with acid',
    find: (story) =>
      story.of(FLOURS).flatMap((told) => {
        const worst = sourestWhileHot(story, told, 88)
        const sour = worst !== null && worst.pH < 4 && acids(story).length > 0
        return sour && story.minutesAt(told, 88) > 10
          ? [
              {
                lineId: told.id,
                stepId: worst.stepId,
                message: `A long boil with acid (about pH ${worst.pH.toFixed(1)}) thins ${Story.name(told)}.`,
                remedy: 'Add the acid at the end.',
              },
            ]
          : []
      }),
  },
  {
    id: 'stretch-too-cool',
    severity: 'caution',
    about: 'a stretching sauce below its gloss',
    find: (story) => {
      const told = story.of('stretch-starch')[0]
      if (story.part.family !== 'stretch-melt' || told === undefined || !story.hasSteps) return []
      const reached = story.maxC(told)
      return reached < 75
        ? [
            {
              lineId: told.id,
              message: `The stretch comes at 75 to 85 °C; here it reaches ${whole(reached)} °C and stays milky.`,
              remedy: 'Cook and stir it to gloss.',
            },
          ]
        : []
    },
  },
  {
    id: 'stretch-overcooked',
    severity: 'caution',
    about: 'a stretching sauce held hot too long',
    find: (story) => {
      const told = story.of('stretch-starch')[0]
      if (story.part.family !== 'stretch-melt' || told === undefined) return []
      const minutes = story.minutesAt(told, 90)
      return minutes > 8
        ? [
            {
              lineId: told.id,
              message: `After ${whole(minutes)} min near the boil the strands turn slimy.`,
              remedy: 'Stop when it is glossy.',
            },
          ]
        : []
    },
  },
  {
    id: 'pulse-flour-raw',
    severity: 'caution',
    about: 'pulse flour that is not cooked through',
    find: (story) =>
      story.of('pulse-flour').flatMap((told) =>
        story.hasSteps && story.maxC(told) < 80
          ? [
              {
                lineId: told.id,
                message: `${told.food.name} tastes raw and does not set below 80 °C; here it reaches ${whole(story.maxC(told))} °C.`,
                remedy: 'Cook it through, or use roasted flour.',
              },
            ]
          : [],
      ),
  },
  {
    id: 'miso-thins-starch',
    severity: 'caution',
    about: 'raw miso in a starch sauce',
    find: (story) => {
      const miso = story.of('raw-miso')[0]
      const starch = story.of(STARCHES)[0] ?? story.of(FLOURS)[0]
      if (miso === undefined || starch === undefined || !story.hasSteps) return []
      if (story.state.cooked.massG <= 0 || story.state.cooked.waterG / story.state.cooked.massG < 0.6)
        return []
      return story.maxC(miso) < 75
        ? [
            {
              lineId: miso.id,
              message: 'Raw miso holds enzymes that thin a starch sauce on standing.',
              remedy: 'Heat the miso to 75 °C, or stir it in at the plate.',
            },
          ]
        : []
    },
  },
]
