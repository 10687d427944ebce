import { SEARING } from '../../program'
import { AT_TEMPERATURE, capital, type MethodRule, Story, whole } from './story'

const MUSHROOM = ({ foodClass }: { foodClass: string }): boolean => foodClass === 'mushroom'
const WATERY = 'watery'
const SALTY = 'salty'
/** A pan crowded above this boils what it should brown, g/dm2. @source sear load 40; rule 40; practice */
const CROWDED_G_PER_DM2 = 40
const SHAPED = new Set(['patty', 'ball', 'log', 'loaf'])
/** Cooking that brings a watery vegetable to this share of its raw mass is enough, by minutes of pan. */
const PRECOOKED_MIN = 4
const ROOM_C = 20
const HOT_FOR_BLENDER_C = 60

/** Browning, drying, shaping, the blender, cultures. @source functional-ingredient rules 39 to 55; processes 3.10 to 3.25; limits practice */
export const HEAT_RULES: readonly MethodRule[] = [
  {
    id: 'mushrooms-salted-early',
    severity: 'caution',
    about: 'mushrooms salted before they brown',
    find: (story) =>
      story.of(MUSHROOM).flatMap((told) => {
        const browned = story.did(told, 'brown', 'sear', 'shallow-fry')[0]
        if (browned === undefined) return []
        const at = story.trace.indexOf(browned)
        const salt = story.of(SALTY).find((one) => {
          const joined = story.joins(one)
          return joined >= 0 && joined <= at && browned.holds.some(({ id }) => id === one.id)
        })
        return salt === undefined
          ? []
          : [
              {
                lineId: salt.id,
                stepId: browned.step.id,
                message: `${capital(Story.name(salt))} is in the pan before the mushrooms have browned: it draws their water.`,
                remedy: 'Salt after browning.',
              },
            ]
      }),
  },
  {
    id: 'pan-crowded',
    severity: 'caution',
    about: 'more in the pan than browns',
    find: (story) =>
      story.trace.flatMap(({ spec, placed, step, holds, reading }, at) => {
        if (spec === null || !SEARING.has(spec.id) || placed.gPerDm2 === null) return []
        if (placed.gPerDm2 <= CROWDED_G_PER_DM2 || placed.vessel?.kind !== 'pan') return []
        if (!holds.some(({ food }) => (food?.per100g.waterG ?? 0) > 60)) return []
        // Food that was browned before has shrunk and dried: a spice fried in it does not crowd the pan.
        if (
          story.trace
            .slice(0, at)
            .some(
              (earlier) =>
                earlier.spec?.medium === 'pan' && reading.takes.some(({ id }) => id === earlier.step.id),
            )
        )
          return []
        return [
          {
            stepId: step.id,
            message: `${whole(reading.massInG)} g lie ${whole(placed.gPerDm2)} g to the dm² in the ${placed.vessel.label.toLowerCase()}; above ${CROWDED_G_PER_DM2} they steam instead of browning.`,
            remedy: `Brown it in ${placed.loads} loads, or in a wider pan.`,
          },
        ]
      }),
  },
  {
    id: 'tray-too-deep',
    severity: 'caution',
    about: 'a layer on the tray too thick to dry',
    find: (story) =>
      story.trace.flatMap(({ placed, step, form, reading }) => {
        const isDeep = step.settings.layer === 'deep' || (step.settings.thicknessMm ?? 0) > 15
        if (placed.vessel?.kind !== 'tray' || form !== 'crumble') return []
        if (!isDeep && placed.loads === 1) return []
        return [
          {
            stepId: step.id,
            message: isDeep
              ? 'A layer over 10 to 15 mm steams below and dries on top only.'
              : `${whole(reading.massInG)} g is more than the trays take in a thin layer.`,
            remedy: isDeep ? 'Spread it 10 mm deep and stir it twice.' : `Bake it in ${placed.loads} loads.`,
          },
        ]
      }),
  },
  {
    id: 'watery-raw-in-shape',
    severity: 'caution',
    about: 'raw mushroom or onion in a shaped mix',
    find: (story) => {
      const shaped = story.trace.find(({ spec, form }) => spec?.id === 'shape' || SHAPED.has(form))
      if (shaped === undefined) return []
      const raw = story.of(WATERY).filter((told) => {
        const inIt = shaped.holds.some(({ id }) => id === told.id)
        const before = story.trace.slice(0, story.trace.indexOf(shaped))
        const precooked = before.some(
          ({ spec, reading, holds }) =>
            spec !== null &&
            (spec.medium === 'pan' || spec.medium === 'oven') &&
            reading.minutes >= PRECOOKED_MIN &&
            holds.some(({ id }) => id === told.id),
        )
        const squeezed = story.did(told, 'squeeze').length > 0
        return inIt && !precooked && !squeezed && !/cooked|saut|browned|sweated|fried|squeez/.test(told.prep)
      })
      const pct = story.pct(...raw)
      return pct <= 10 || raw[0] === undefined
        ? []
        : [
            {
              lineId: raw[0].id,
              stepId: shaped.step.id,
              message: `${whole(pct)} % raw ${raw.map((told) => Story.name(told)).join(' and ')} gives its water up in the pan: the shape weeps and breaks.`,
              remedy: 'Sweat it to 60 % of its mass and cool it, or salt and squeeze it, before it goes in.',
            },
          ]
    },
  },
  {
    id: 'black-salt-early',
    severity: 'caution',
    about: 'black salt cooked long',
    find: (story) =>
      story.of('black-salt').flatMap((told) => {
        const minutes = story.minutesAt(told, 80) / AT_TEMPERATURE
        return minutes > 5
          ? [
              {
                lineId: told.id,
                message: `Black salt cooks for ${whole(minutes)} min: its egg note goes up with the steam.`,
                remedy: 'Stir it in at the end, or at the table.',
              },
            ]
          : []
      }),
  },
  {
    id: 'raw-protease',
    severity: 'caution',
    about: 'raw fruit that digests protein',
    find: (story) => {
      const fruit = story.of('protease').filter((told) => story.pct(told) > 2)[0]
      if (fruit === undefined || !story.hasSteps || story.maxC(fruit) >= 80) return []
      const gel = story.of('digestible-gel')[0]
      return gel === undefined
        ? []
        : [
            {
              lineId: fruit.id,
              message: `Raw ${Story.name(fruit)} digests the protein of ${Story.name(gel)}.`,
              remedy: 'Heat the fruit to 80 °C first.',
            },
          ]
    },
  },
  {
    id: 'leavening-waits',
    severity: 'info',
    about: 'baking powder wet for long before heat',
    find: (story) =>
      story.of('baking-powder').flatMap((told) => {
        const waited = story.restBefore(told, [
          'roast',
          'steam',
          'shallow-fry',
          'deep-fry',
          'air-fry',
          'sear',
          'grill',
        ])
        return waited > 15
          ? [
              {
                lineId: told.id,
                message: `Baking powder waits ${whole(waited)} min wet: most of its gas is gone before the heat.`,
                remedy: 'Stir it in last and cook at once.',
              },
            ]
          : []
      }),
  },
  {
    id: 'patties-warm',
    severity: 'caution',
    about: 'patties shaped warm',
    find: (story) => {
      if (story.part.family !== 'bound-patty') return []
      return story.trace.flatMap(({ spec, step, reading, form }) => {
        if (spec?.id !== 'shape' && form !== 'patty' && form !== 'ball') return []
        if (spec?.id !== 'shape' || reading.state.coreC <= 26) return []
        return [
          {
            stepId: step.id,
            message: `The mix is about ${whole(reading.state.coreC)} °C when it is shaped: it sticks and slumps.`,
            remedy: 'Chill it 30 to 60 minutes, to 12 °C or below.',
          },
        ]
      })
    },
  },
  {
    id: 'emulsion-too-rich',
    severity: 'caution',
    about: 'more oil than an emulsion holds',
    find: (story) => {
      const oils = story.of((food) => food.foodClass === 'fat' && (food.per100g.waterG ?? 0) < 5)
      const told = oils[0]
      const blended = story.trace.some(({ spec }) => spec?.id === 'blend' || spec?.id === 'whip')
      return told === undefined || !blended || story.pct(...oils) <= 75
        ? []
        : [
            {
              lineId: told.id,
              message: `${whole(story.pct(...oils))} % oil is more than an emulsion holds: it breaks.`,
              remedy: 'Keep the oil under 75 %, stream it in slowly, add lecithin or mustard.',
            },
          ]
    },
  },
  {
    id: 'colour-shifts',
    severity: 'info',
    about: 'beetroot cooked long',
    find: (story) =>
      story.of('betalain').flatMap((told) =>
        story.minutesAt(told, 80) > 20
          ? [
              {
                lineId: told.id,
                message: `Beetroot browns after 20 minutes of heat; here ${whole(story.minutesAt(told, 80))}.`,
                remedy: 'Add it late, or count on a brown.',
              },
            ]
          : [],
      ),
  },
  {
    id: 'hot-in-closed-blender',
    severity: 'caution',
    about: 'hot liquid in a closed blender',
    find: (story) =>
      story.trace.flatMap(({ spec, step, reading, placed }, at) => {
        if (
          spec?.id !== 'blend' ||
          /\bstick|\bhand blender|\bimmersion|\bvent|\blid (?:ajar|off)|\bcool/i.test(step.text)
        )
          return []
        // Lots are as warm as they were left; what comes from the list is cold.
        let massG = 0
        let warm = 0
        for (const take of reading.takes) {
          const before = story.trace.slice(0, at).findLast(({ step: earlier }) => earlier.id === take.id)
          massG += take.massG
          warm += take.massG * (before?.reading.state.coreC ?? ROOM_C)
        }
        const hotC = massG > 0 ? warm / massG : ROOM_C
        return hotC < HOT_FOR_BLENDER_C || placed.vessel?.kind === 'processor'
          ? []
          : [
              {
                stepId: step.id,
                message: `It goes into the blender at about ${whole(hotC)} °C: steam can throw the lid and scald.`,
                remedy:
                  'Cool it below 60 °C, fill the jug by half, and leave the lid’s vent open under a cloth.',
              },
            ]
      }),
  },
  {
    id: 'over-processed',
    severity: 'caution',
    about: 'pieces blended away where pieces matter',
    find: (story) => {
      if (
        story.part.family !== 'crumble-mince' &&
        story.part.family !== 'flaked' &&
        story.part.family !== 'shreddable'
      )
        return []
      return story.trace.flatMap(({ spec, step, reading }) => {
        if (spec?.id !== 'blend' || (reading.state.particleMm ?? 12) > 2) return []
        if (story.rawMassG <= 0 || reading.massG < 0.4 * story.rawMassG) return []
        return [
          {
            stepId: step.id,
            message: `${whole(reading.minutes)} min of blending leaves no pieces of ${whole(reading.massG)} g; this food wants them.`,
            remedy: 'Pulse it, or mash half and fold the rest in whole.',
          },
        ]
      })
    },
  },
]
