import {
  coldOvenWords,
  type DayAsk,
  type DayPlan,
  daySheet,
  dayToIcal,
  inOtherWays,
  NEAR,
  planDay,
  preheatMin,
  resourcesOf,
} from '@frijol/core/day'
import { assess } from '@frijol/core/assess'
import { readRecipes } from '@frijol/core/interchange'
import { defaultKitchen, type Dish } from '@frijol/core/model'
import { PlanFault } from '@frijol/core/schedule'
import ical from 'node-ical'
import { describe, expect, it } from 'vitest'
import { faultsOf } from '../../core/test/checkPlan'
import { mixContext } from '../test/mixContext'
import recipes from '../test/recipes/public.json'
import { library } from '.'

const bench = { library, kitchen: defaultKitchen }
const SERVE = '2026-06-18T13:00:00Z'
const at = (day: string, hour: number): string => `2026-06-${day}T${String(hour).padStart(2, '0')}:00:00Z`
const NIGHTS = ['15', '16', '17'].map((day) => ({ from: at(day, 22), to: at(String(Number(day) + 1), 7) }))

function dishFrom(text: string): Dish {
  const read = readRecipes(text, mixContext())
  const dish = read.ok ? read.value[0] : undefined
  if (dish === undefined) throw new Error(`not read: ${text}`)
  return dish
}
const recipe = (name: string, lines: readonly string[], steps: readonly string[]): Dish =>
  dishFrom(
    `# ${name}\n\nServes 4\n\n## Ingredients\n\n- ${lines.join('\n- ')}\n\n## Method\n\n${steps.map((step, index) => `${index + 1}. ${step}`).join('\n')}\n`,
  )
const STEW = recipe(
  'Chickpea stew',
  ['300 g dried chickpeas', '1 onion, chopped', '20 g olive oil', '6 g salt'],
  [
    'Soak the chickpeas in cold water for 10 hours, then drain.',
    'Boil the chickpeas for 60 minutes.',
    'Sweat the onion in the oil for 8 minutes.',
    'Stir the onion and salt into the chickpeas.',
  ],
)
const roast = (name: string, tempC: number) =>
  recipe(
    name,
    ['600 g cauliflower', '20 g olive oil'],
    [`Toss the cauliflower with the oil.`, `Roast at ${tempC} °C for 30 minutes.`],
  )

const day = (dishes: readonly Dish[], more: Partial<DayAsk> = {}): DayPlan =>
  planDay({ dishes, anchor: { kind: 'serve', at: SERVE }, cooks: 1, away: NIGHTS, ...more }, bench, {
    effort: 1500,
  })

/** The plan against its own tasks, by the checker that knows nothing of the planner. */
function expectSound(planned: DayPlan, cooks = 1): void {
  const minute = (time: string): number => Math.max(0, Date.parse(time) / 60_000 - planned.startMin)
  expect(
    faultsOf(
      {
        resources: resourcesOf(defaultKitchen, cooks),
        tasks: planned.tasks.map(({ task }) => task),
        away: NIGHTS.flatMap(({ from, to }) =>
          ['cook', NEAR].map((resource) => ({ resource, fromMin: minute(from), toMin: minute(to) })),
        ),
      },
      planned.tasks.map(({ id, startMin, endMin }) => ({
        id,
        startMin: startMin - planned.startMin,
        endMin: endMin - planned.startMin,
      })),
    ),
  ).toEqual([])
}
const of = (planned: DayPlan, words: RegExp) => planned.tasks.filter(({ label }) => words.test(label))

describe('a day that is served at a time', () => {
  it('soaks overnight, while nobody is there, and cooks in the morning', () => {
    const planned = day([STEW])
    expectSound(planned)
    expect(planned.serveMin).toBe(Date.parse(SERVE) / 60_000)
    const [soak] = of(planned, /^Soak/)
    expect(soak?.kind).toBe('by-itself')
    expect(soak?.startMin).toBeLessThanOrEqual(Date.parse(at('17', 22)) / 60_000)
    const [boil] = of(planned, /^Boil/)
    expect(boil?.startMin).toBeGreaterThanOrEqual(Date.parse(at('18', 7)) / 60_000)
    // Checks lie inside what they look after.
    for (const check of planned.tasks.filter(({ kind }) => kind === 'check')) {
      const main = planned.tasks.find(({ kind, stepId }) => kind === 'by-itself' && stepId === check.stepId)
      expect(check.startMin).toBeGreaterThanOrEqual(main?.startMin ?? Number.NaN)
      expect(check.endMin).toBeLessThanOrEqual(main?.endMin ?? Number.NaN)
    }
  })

  it('shares an oven by its temperature: near ones go together, others one after the other', () => {
    const overlap = (a: number, b: number): boolean => {
      const [first, second] = of(day([roast('One', a), roast('Two', b)]), /^Roast/)
      if (first === undefined || second === undefined) throw new Error('no roasts')
      return first.startMin < second.endMin && second.startMin < first.endMin
    }
    expect(overlap(190, 200)).toBe(true)
    expect(overlap(160, 220)).toBe(false)
  })

  it('says what would make it shorter', () => {
    const planned = day([roast('One', 160), roast('Two', 220)])
    expect(planned.heldBy.map(({ what }) => what).join()).toContain('one temperature for all')
  })

  it('is never longer with a second cook, and the same dish twice is two pots', () => {
    const one = day([STEW, STEW])
    const two = day([STEW, STEW], { cooks: 2 })
    expectSound(two, 2)
    expect(two.spanMin).toBeLessThanOrEqual(one.spanMin)
    expect(of(one, /^Boil/)).toHaveLength(2)
  })

  it('refuses to be served while nobody is there, and only then', () => {
    const served = (time: string) => day([STEW], { anchor: { kind: 'serve', at: time } })
    expect(() => served('2026-06-18T06:00:00Z')).toThrow(/Nobody is there/)
    expect(() => served('2026-06-17T23:00:00Z')).toThrow(/Nobody is there/)
    // At the very end of a night nothing can have been plated.
    expect(() => served('2026-06-18T07:00:00Z')).toThrow(/Nobody is there/)
    expectSound(served('2026-06-17T22:00:00Z'))
  })

  it('names what collides where nothing can be planned', () => {
    const without = {
      ...defaultKitchen,
      equipment: defaultKitchen.equipment.map((one) => (one.kind === 'hob' ? { ...one, count: 1 } : one)),
    }
    expect(() =>
      planDay(
        { dishes: [STEW], anchor: { kind: 'serve', at: SERVE }, cooks: 0, away: [] },
        { library, kitchen: without },
      ),
    ).toThrow(PlanFault)
    expect(() => day([STEW], { anchor: { kind: 'serve', at: 'tomorrow' } })).toThrow(/no time/)
  })
})

const corpus = recipes.flatMap(({ text }) => {
  const read = readRecipes(text, mixContext())
  return read.ok ? read.value : []
})

describe('the recipes of the reading corpus', () => {
  it.each(corpus.filter((_, index) => index % 4 === 0).map((dish) => [dish.name, dish] as const))(
    '%s: every doing is planned, and everything is kept',
    (_, dish) => {
      const planned = day([dish], { away: [] })
      const done = new Set(planned.tasks.map(({ stepId }) => stepId))
      for (const { steps } of dish.parts) for (const { id } of steps) expect(done).toContain(id)
      expect(planned.tasks.at(-1)?.endMin).toBe(planned.serveMin)
    },
  )
})

describe('two or three dishes of the corpus on one day', () => {
  // Those that bake, in groups that change: what one needs moves what another finds.
  const baking = corpus.filter(({ parts }) =>
    parts.some(({ steps }) => steps.some(({ text }) => /oven|roast|bake/i.test(text))),
  )
  it.each([1, 2, 3, 4, 5, 6, 7, 8, 9, 10])('group %i: every oven is hot when food goes in', (round) => {
    const group = [0, 1, 2].flatMap((at) => baking[(round * 7 + at * (round + 3)) % baking.length] ?? [])
    const planned = day(group, { anchor: { kind: round % 2 === 0 ? 'serve' : 'start', at: SERVE } })
    expect(planned.coldOvens).toEqual([])
    expectSound(planned)
    for (const { label } of planned.tasks) expect(label).not.toMatch(/\b[a-z][A-Z]/)
  })
})

describe('who is needed, and where', () => {
  const tasksFor = (lines: readonly string[], steps: readonly string[]) =>
    day([recipe('Try', lines, steps)], { away: [] }).tasks

  it('lets drip by itself what drips for hours, and not what is drained in a minute', () => {
    const tasks = tasksFor(
      ['1000 g oat milk', '30 g cornflour'],
      ['Simmer the oat milk with the cornflour for 5 minutes.', 'Strain through a cloth for 3 hours.'],
    )
    expect(tasks.find(({ label }) => label.startsWith('Strain'))).toMatchObject({ kind: 'by-itself' })
    const quick = tasksFor(['300 g pasta'], ['Boil the pasta for 9 minutes.', 'Drain the pasta.'])
    expect(quick.find(({ label }) => label.startsWith('Drain'))).toMatchObject({ kind: 'work' })
  })

  it('dries in the oven what is dried hotter than a drier gets', () => {
    const tasks = tasksFor(
      ['240 g cooked black beans', '80 g walnuts'],
      ['Mash the beans with the walnuts.', 'Spread thin and dry in the oven at 150 °C for 35 minutes.'],
    )
    const dried = tasks.find(({ kind, label }) => kind === 'by-itself' && label.startsWith('Dr'))
    expect(dried?.task.uses).toMatchObject({ oven: 1 })
    expect(dried?.tempC).toBe(150)
  })

  it('looks once in the middle where one look is all there is time for', () => {
    const tasks = roastTasks(28)
    const main = tasks.find(({ kind, stepId }) => kind === 'by-itself' && stepId !== null)
    const looks = tasks.filter(({ kind }) => kind === 'check')
    expect(looks).toHaveLength(1)
    const at = ((looks[0]?.startMin ?? 0) - (main?.startMin ?? 0)) / 28
    expect(at).toBeGreaterThan(0.25)
    expect(at).toBeLessThan(0.75)
  })

  const roastTasks = (minutes: number) =>
    tasksFor(
      ['600 g cauliflower', '20 g olive oil'],
      [`Roast the cauliflower with the oil at 200 °C for ${minutes} minutes.`],
    )
})

describe('an oven that is hot in time', () => {
  const heatings = ({ tasks }: DayPlan) => tasks.filter(({ id }) => id.endsWith(':heat'))
  const roastsOf = ({ tasks }: DayPlan) =>
    tasks.filter(({ kind, stepId, tempC }) => kind === 'by-itself' && stepId !== null && tempC !== null)

  it('is set so long before the food goes in, and not much earlier', () => {
    const plan = day([roast('Cauliflower', 200)])
    const [heating] = heatings(plan)
    const [food] = roastsOf(plan)
    expect(heating?.label).toBe('Oven comes to 200 °C')
    expect(heating?.task.durationMin).toBe(preheatMin(200))
    const stands = (food?.startMin ?? 0) - (heating?.endMin ?? 0)
    expect(stands).toBeGreaterThanOrEqual(0)
    expect(stands).toBeLessThanOrEqual(15)
    expect(plan.tasks.find(({ id }) => id === `${heating?.id ?? ''}:on`)?.endMin).toBe(heating?.startMin)
    expectSound(plan)
  })

  it('is heated once for what agrees, and brought to the next for what does not', () => {
    const near = day([roast('Cauliflower', 190), roast('Parsnips', 200)])
    expect(heatings(near)).toHaveLength(1)
    const far = day([roast('Cauliflower', 150), roast('Parsnips', 230)])
    expect(heatings(far)).toHaveLength(2)
    // Nothing bakes while the oven is on its way, and what bakes next follows soon.
    for (const heating of heatings(far)) {
      for (const food of roastsOf(far))
        if (Math.abs((food.tempC ?? 0) - (heating.tempC ?? 0)) > 20)
          expect(food.endMin <= heating.startMin || food.startMin >= heating.endMin).toBe(true)
      const [next] = roastsOf(far)
        .filter(({ startMin }) => startMin >= heating.endMin)
        .sort((x, y) => x.startMin - y.startMin)
      expect(next?.tempC).toBe(heating.tempC)
    }
    // From hot it takes less than from cold.
    expect(heatings(far).map(({ task }) => task.durationMin)).not.toEqual([preheatMin(150), preheatMin(230)])
    expectSound(far)
  })

  it('takes longer the hotter it is to be, and nothing where nothing is baked', () => {
    expect(preheatMin(230)).toBeGreaterThan(preheatMin(150))
    expect(preheatMin(190, 180)).toBe(1)
    expect(heatings(day([STEW]))).toEqual([])
  })

  it('is told where there is no time to heat it: a roast held at the beginning of the day', () => {
    const begins = Date.parse(SERVE) / 60_000
    const dish = roast('Cauliflower', 200)
    const open = day([dish], { anchor: { kind: 'start', at: SERVE } })
    expect(open.coldOvens).toEqual([])
    const [food] = roastsOf(open)
    // So soon that the tossing is done, and the oven cannot be hot.
    const held = { id: food?.id ?? '', startMin: begins + 8 }
    const early = day([dish], { anchor: { kind: 'start', at: SERVE }, held: [held] })
    expect(roastsOf(early)[0]?.startMin).toBe(held.startMin)
    expect(early.coldOvens).toMatchObject([{ taskId: food?.id, tempC: 200, minutes: preheatMin(200) }])
    const [words] = coldOvenWords(early, () => '13:08')
    expect(words).toContain('13:08')
    expect(words).toContain('200 °C')
    const sheet = daySheet(early, { clock: () => '13:08', day: () => 'Thursday' })
    expect(sheet).toContain('## Oven not hot in time')
    expect(daySheet(open, { clock: () => '', day: () => '' })).not.toContain('Oven not hot')
  })

  it('is heated for the later roast though the earlier is held too soon', () => {
    const begins = Date.parse(SERVE) / 60_000
    const dishes = [roast('Cauliflower', 200), roast('Parsnips', 150)]
    const start = { kind: 'start' as const, at: SERVE }
    const open = day(dishes, { anchor: start })
    const held = roastsOf(open).find(({ dish }) => dish === 'Cauliflower')?.id ?? ''
    const early = day(dishes, { anchor: start, held: [{ id: held, startMin: begins + 8 }] })
    expect(early.coldOvens.map(({ taskId }) => taskId)).toEqual([held])
    expect(heatings(early).map(({ tempC }) => tempC)).toEqual([150])
  })

  it('is not told among what waits', () => {
    expect(day([roast('Cauliflower', 200)]).waits.every(({ label }) => !label.startsWith('Oven'))).toBe(true)
  })
})

describe('a step that other means would do', () => {
  const withPot = {
    library,
    kitchen: {
      ...defaultKitchen,
      equipment: [
        ...defaultKitchen.equipment.filter(({ kind }) => kind !== 'pressure-pot'),
        {
          id: 'pot-p',
          kind: 'pressure-pot' as const,
          label: 'pressure cooker',
          count: 1,
          areaDm2: null,
          capacityG: 6000,
          powerKw: null,
          isFan: false,
          offsetC: 0,
        },
      ],
    },
  }
  const SLOW = recipe(
    'Bean pot',
    ['600 g canned black beans', '400 ml water', '1 onion, chopped', '20 g olive oil'],
    ['Sweat the onion in the oil for 8 minutes.', 'Add the beans and water and simmer for 90 minutes.'],
  )
  const asked = { dishes: [SLOW], anchor: { kind: 'serve' as const, at: SERVE }, cooks: 1, away: [] }

  it('is told with what it saves, and saves that when it is done so', () => {
    const plan = planDay(asked, withPot)
    const [way] = plan.otherWays
    // What lies in its own broth is not steamed.
    expect(plan.otherWays.map(({ operation }) => operation)).toEqual(['pressure-cook'])
    expect(way?.label).toMatch(/^Pressure-cook instead of simmer: .*beans/i)
    if (way === undefined) throw new Error('no other way')
    const changed = inOtherWays(SLOW, [way], withPot)
    const sooner = planDay({ ...asked, dishes: [changed] }, withPot)
    expect(plan.spanMin - sooner.spanMin).toBeCloseTo(way.shorterMin, -0.5)
    expect(way.shorterMin).toBeGreaterThan(30)
  })

  it('takes the same foods, and leaves every other step as it is written', () => {
    const [way] = planDay(asked, withPot).otherWays
    if (way === undefined) throw new Error('no other way')
    const [before, after] = [SLOW, inOtherWays(SLOW, [way], withPot)].map(
      (dish) => assess(dish, library, withPot.kitchen).parts[0]?.steps ?? [],
    )
    const taken = (steps: typeof before) => steps?.map(({ takes }) => takes.map(({ name }) => name).sort())
    expect(taken(after)).toEqual(taken(before))
    expect(after?.map(({ stepId }) => stepId)).toEqual(before?.map(({ stepId }) => stepId))
    expect(after?.[0]).toEqual(before?.[0])
  })

  it('is not told where the kitchen has no such pot, or the step ends by itself', () => {
    const without = {
      ...withPot,
      kitchen: {
        ...withPot.kitchen,
        equipment: withPot.kitchen.equipment.filter(({ kind }) => kind !== 'pressure-pot'),
      },
    }
    expect(planDay(asked, without).otherWays.map(({ operation }) => operation)).not.toContain('pressure-cook')
  })

  it('forgets a way of a step that is gone', () => {
    expect(
      inOtherWays(SLOW, [{ dishId: SLOW.id, partId: 'gone', stepId: 'gone', operation: 'steam' }], withPot),
    ).toBe(SLOW)
  })
})

describe('one oven, two temperatures', () => {
  const [a, b] = [roast('Cauliflower', 175), roast('Parsnips', 200)]
  const shared = day([a, b])

  it('brings both to one temperature where that saves time, the time stretched by the process', () => {
    expect(shared.stretched).toHaveLength(1)
    const [one] = shared.stretched
    if (one === undefined) throw new Error('nothing is shared')
    expect([175, 200]).toContain(one.tempC)
    expect(one.ownMin).toBe(30)
    // Hotter is sooner, cooler is later.
    if (one.tempC > one.ownC) expect(one.minutes).toBeLessThan(30)
    else expect(one.minutes).toBeGreaterThan(30)
    const roasts = shared.tasks.filter(
      ({ kind, tempC, stepId }) => kind === 'by-itself' && tempC !== null && stepId !== null,
    )
    expect(new Set(roasts.map(({ tempC }) => tempC)).size).toBe(1)
    const [first, second] = roasts
    expect(Math.min(first?.endMin ?? 0, second?.endMin ?? 0)).toBeGreaterThan(
      Math.max(first?.startMin ?? 0, second?.startMin ?? 0),
    )
    expectSound(shared)
  })

  it('comes to the same loss as at its own temperature', () => {
    const [one] = shared.stretched
    const dish = [a, b].find(({ id }) => id === one?.dishId)
    const lossAt = (tempC: number, durationMin: number): number => {
      const changed = {
        ...(dish ?? a),
        parts: (dish ?? a).parts.map((part) => ({
          ...part,
          steps: part.steps.map((step) => (step.id === one?.stepId ? { ...step, tempC, durationMin } : step)),
        })),
      }
      const reading = assess(changed, library, defaultKitchen)
        .parts.flatMap(({ steps }) => steps)
        .find(({ stepId }) => stepId === one?.stepId)
      return 1 - (reading?.massG ?? 0) / (reading?.massInG ?? 1)
    }
    const own = lossAt(one?.ownC ?? 0, one?.ownMin ?? 0)
    expect(lossAt(one?.tempC ?? 0, one?.minutes ?? 0)).toBeCloseTo(own, 1)
  })

  it('leaves temperatures alone that are too far apart, and those that agree', () => {
    expect(day([roast('One', 150), roast('Two', 220)]).stretched).toEqual([])
    expect(day([roast('One', 180), roast('Two', 190)]).stretched).toEqual([])
  })

  it('says it on the sheet', () => {
    const sheet = daySheet(shared, { clock: String, day: String })
    expect(sheet).toContain('## Sharing the oven')
    expect(sheet).toMatch(/Roast.*°C for \d+ min, in place of \d+ °C for 30 min/)
  })
})

describe('tasks that a person puts at a time', () => {
  it('stand there, and the rest goes round them', () => {
    const free = day([STEW])
    const boil = free.tasks.find(({ label }) => label.startsWith('Sweat'))
    const held = day([STEW], { held: [{ id: boil?.id ?? '', startMin: (boil?.startMin ?? 0) - 20 }] })
    expect(held.tasks.find(({ id }) => id === boil?.id)?.startMin).toBe((boil?.startMin ?? 0) - 20)
    expect(held.serveMin).toBe(free.serveMin)
    expectSound(held)
  })

  it('are refused in words where they cannot stand', () => {
    const free = day([STEW])
    const plate = free.tasks.at(-1)
    expect(() => day([STEW], { held: [{ id: plate?.id ?? '', startMin: free.serveMin + 30 }] })).toThrow(
      /would end after everything is served/,
    )
  })
})

describe('what a day is handed on as', () => {
  const planned = day([STEW])
  it('is a calendar that another program reads: every task, at its time, with alarms for hands', () => {
    const read = ical.sync.parseICS(dayToIcal(planned, '2026-06-10T09:00:00Z'))
    const events = Object.values(read).filter((one) => one?.type === 'VEVENT')
    expect(events).toHaveLength(planned.tasks.length)
    for (const event of events) {
      const task = planned.tasks.find(({ id }) => event.uid === `${id}@frijol`)
      expect(event.start.getTime()).toBe((task?.startMin ?? 0) * 60_000)
      expect(event.end?.getTime()).toBe((task?.endMin ?? 0) * 60_000)
      expect(event.summary).toBe(`${task?.label ?? ''} (${task?.dish ?? ''})`)
    }
    const alarms = dayToIcal(planned, '2026-06-10T09:00:00Z').split('BEGIN:VALARM').length - 1
    expect(alarms).toBe(planned.tasks.filter(({ kind }) => kind !== 'by-itself').length)
  })

  it('is a sheet by the clock, with the caution on warm food', () => {
    const sheet = daySheet(planned, {
      clock: (minute) => new Date(minute * 60_000).toISOString().slice(11, 16),
      day: (minute) => new Date(minute * 60_000).toISOString().slice(0, 10),
    })
    expect(sheet).toContain('## 2026-06-17')
    expect(sheet).toMatch(/\*\*12:56\*\* Plate Chickpea stew/)
    expect(sheet).toContain('your local food code')
  })
})
