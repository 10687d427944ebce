import {
  asMadeOf,
  asWeighed,
  beginRun,
  beginSession,
  closingOf,
  decidedBy,
  differenceWords,
  followedBy,
  hasSlipped,
  heatingCurve,
  liveOf,
  madeTrial,
  measuresFor,
  missedChecks,
  planDay,
  ratiosWith,
  replan,
  type ScaleSays,
  takeReading,
  tubLabel,
  usualRemarks,
  weighLines,
  type WeighRun,
} from '@frijol/core/day'
import { keeps } from '@frijol/core/rules'
import { assess } from '@frijol/core/assess'
import { randomFrom } from '@frijol/core/chance'
import { readRecipes } from '@frijol/core/interchange'
import {
  CookDay,
  CookSession,
  type DayEvent,
  defaultKitchen,
  type Dish,
  Trial,
  type Weighing,
} from '@frijol/core/model'
import { describe, expect, it } from 'vitest'
import { mixContext } from '../test/mixContext'
import recipes from '../test/recipes/public.json'
import { library } from '.'

const bench = { library, kitchen: defaultKitchen }
const MINUTE_MS = 60_000
const SERVE = Date.parse('2026-06-18T13:00:00Z')

function dishFrom(text: string): Dish {
  const read = readRecipes(text, mixContext())
  const dish = read.ok ? read.value[0] : undefined
  if (dish === undefined) throw new Error(`not read: ${text}`)
  return dish
}
const SUPPER = dishFrom(`# Split-pea supper

Serves 4

## Ingredients

- 200 g split peas
- 300 g courgettes, sliced
- 400 g chopped tomatoes
- 12 g olive oil
- 30 g tahini
- 6 g fine salt

## Method

1. Simmer the split peas in 700 g water for 40 minutes.
2. Roast the courgettes with the olive oil at 190 °C for 35 minutes.
3. Simmer the tomatoes with half of the salt for 30 minutes, stirring now and then.
4. Stir the split peas, courgettes, tomatoes, tahini and the rest of the salt together.
`)

const planFor = (dishes: readonly Dish[], cooks = 1) =>
  planDay({ dishes, anchor: { kind: 'serve', at: new Date(SERVE).toISOString() }, cooks, away: [] }, bench, {
    effort: 800,
  })

function sessionFor(dishes: readonly Dish[], cooks = 1): CookSession {
  const plan = planFor(dishes, cooks)
  return CookSession.parse(beginSession(plan, [...dishes], plan.startMin * MINUTE_MS))
}
let count = 0
const logged = (
  session: CookSession,
  ...events: readonly (readonly [string, DayEvent['what'], number, number?])[]
): CookSession => ({
  ...session,
  log: [
    ...session.log,
    ...events.map(([taskId, what, at, minutes = null]) => ({
      id: `e${(count += 1)}`,
      taskId,
      what,
      at,
      minutes: minutes ?? null,
    })),
  ],
})
const idOf = (session: CookSession, words: RegExp): string => {
  const found = session.tasks.find(({ label }) => words.test(label))
  if (found === undefined) throw new Error(`no task ${String(words)}`)
  return found.id
}
const stateOf = (session: CookSession, id: string, nowMs: number) =>
  liveOf(session, 1, nowMs).tasks.find(({ task }) => task.id === id)

/** Puts a pot on at a moment: what is set up ends, and what follows begins. */
function putOn(session: CookSession, words: RegExp, at: number): { session: CookSession; main: string } {
  const setUp = idOf(session, words)
  const main = followedBy(session.tasks, setUp)
  if (main === null) throw new Error('nothing follows')
  return { session: logged(session, [setUp, 'ended', at], [main.id, 'begun', at]), main: main.id }
}

const around = { cooks: 1, away: [], kitchen: defaultKitchen }

describe('a day that is cooked', () => {
  const fresh = sessionFor([SUPPER])

  it('is kept as a document, whole', () => {
    const day = {
      format: 'frijol/day',
      version: 1,
      id: 'd1',
      name: 'Supper',
      createdAt: '2026-06-18T08:00:00Z',
      updatedAt: '2026-06-18T08:00:00Z',
      dishIds: [SUPPER.id],
      settings: {
        anchor: { kind: 'serve', at: '2026-06-18T13:00' },
        cooks: 1,
        night: null,
        held: [],
        ways: [],
      },
      batches: [],
      session: fresh,
    }
    expect(CookDay.parse(JSON.parse(JSON.stringify(day)))).toEqual(day)
    expect(CookDay.safeParse({ ...day, settings: { ...day.settings, cooks: 0 } }).success).toBe(false)
  })

  it('says what the hands do first, and that nothing runs yet', () => {
    const live = liveOf(fresh, 1, fresh.begunAt)
    expect(live.now).toHaveLength(1)
    expect(live.now[0]?.task.startMin).toBe(fresh.tasks[0]?.startMin)
    expect(live.running).toEqual([])
    expect(live.isDone).toBe(false)
    expect(liveOf(fresh, 2, fresh.begunAt).now).toHaveLength(2)
  })

  it('keeps timers as end times: any moment that is asked is right, and none is negative', () => {
    const at = fresh.begunAt + 90_000
    const { session, main } = putOn(fresh, /begin to simmer: split peas/i, at)
    const ask = (nowMs: number) => stateOf(session, main, nowMs)
    expect(ask(at + 10 * MINUTE_MS)).toMatchObject({ state: 'running', leftMs: 30 * MINUTE_MS, gone: 0.25 })
    expect(ask(at + 40 * MINUTE_MS)).toMatchObject({ state: 'due', leftMs: 0, gone: 1 })
    expect(ask(at + 500 * MINUTE_MS)).toMatchObject({ state: 'due', leftMs: 0 })
    // The clock of the device was set back by an hour.
    const back = liveOf(session, 1, at - 60 * MINUTE_MS)
    expect(back.isClockBack).toBe(true)
    expect(stateOf(session, main, at - 60 * MINUTE_MS)).toMatchObject({ leftMs: 40 * MINUTE_MS, gone: 0 })
    expect(liveOf(session, 1, at + MINUTE_MS).isClockBack).toBe(false)
  })

  it('gives longer what needs longer, and begins again what was ended too early', () => {
    const at = fresh.begunAt
    const { session, main } = putOn(fresh, /begin to simmer: split peas/i, at)
    const longer = logged(session, [main, 'longer', at + MINUTE_MS, 10])
    expect(stateOf(longer, main, at + 41 * MINUTE_MS)).toMatchObject({
      state: 'running',
      leftMs: 9 * MINUTE_MS,
    })
    const again = logged(longer, [main, 'ended', at + 42 * MINUTE_MS], [main, 'begun', at + 44 * MINUTE_MS])
    expect(stateOf(again, main, at + 45 * MINUTE_MS)?.state).toBe('running')
  })

  it('asks for no look at a pot that is not on', () => {
    const checks = (session: CookSession, nowMs: number) =>
      liveOf(session, 1, nowMs).next.filter(({ task }) => task.kind === 'check')
    expect(checks(fresh, fresh.begunAt)).toEqual([])
    const { session } = putOn(fresh, /begin to simmer: split peas/i, fresh.begunAt)
    expect(checks(session, fresh.begunAt).length).toBeGreaterThan(0)
  })

  it('finds looks that were missed, once their time is past', () => {
    const { session } = putOn(fresh, /begin to simmer: split peas/i, fresh.begunAt)
    expect(missedChecks(session, fresh.begunAt + 9 * MINUTE_MS)).toEqual([])
    const missed = missedChecks(session, fresh.begunAt + 20 * MINUTE_MS)
    expect(missed.length).toBeGreaterThan(0)
    const told = logged(
      session,
      ...missed.map(({ id }) => [id, 'missed', fresh.begunAt + 20 * MINUTE_MS] as const),
    )
    expect(missedChecks(told, fresh.begunAt + 20 * MINUTE_MS)).toEqual([])
  })

  it('keeps the serving while nothing slips, and moves it by as much as something does', () => {
    const first = replan(fresh, around, fresh.begunAt)
    expect(first.laterMin).toBe(0)
    const start = (fresh.tasks[0]?.startMin ?? 0) * MINUTE_MS
    expect(hasSlipped(fresh, 1, start)).toBe(false)
    expect(hasSlipped(fresh, 1, start + 10 * MINUTE_MS)).toBe(true)
    const late = replan(fresh, around, start + 25 * MINUTE_MS)
    expect(late.laterMin).toBeGreaterThan(15)
    expect(late.laterMin).toBeLessThanOrEqual(25)
    for (const { startMin } of late.tasks)
      expect(startMin * MINUTE_MS).toBeGreaterThanOrEqual(start + 25 * MINUTE_MS)
  })

  it('stays as it is read off while it holds: another order is no better', () => {
    const [first] = fresh.tasks
    const start = (first?.startMin ?? 0) * MINUTE_MS
    const early = logged(fresh, [first?.id ?? '', 'begun', start - MINUTE_MS])
    const before = new Map(fresh.tasks.map(({ id, startMin }) => [id, startMin]))
    for (const { id, startMin } of replan(early, around, start - MINUTE_MS).tasks)
      if (id !== first?.id) expect(startMin).toBe(before.get(id))
  })

  it('leaves what has begun where it is, and says what has waited too long', () => {
    const { session, main } = putOn(fresh, /begin to simmer: split peas/i, fresh.begunAt)
    const now = fresh.begunAt + 7 * MINUTE_MS
    const after = replan(session, around, now)
    const pot = after.tasks.find(({ id }) => id === main)
    expect((pot?.startMin ?? 0) * MINUTE_MS).toBe(fresh.begunAt)
    expect(after.tasks).toHaveLength(session.tasks.length)
    const done = logged(session, [main, 'ended', now])
    const cold = replan(done, around, now + 300 * MINUTE_MS)
    expect(cold.broken.join(' ')).toMatch(/has waited 300 min; 120 min is the most/)
  })

  it('is over when everything is done or left out', () => {
    const done = logged(
      fresh,
      ...fresh.tasks.map(({ id }, at) => [id, at % 3 === 0 ? 'skipped' : 'ended', fresh.begunAt] as const),
    )
    const live = liveOf(done, 1, fresh.begunAt)
    expect(live.isDone).toBe(true)
    expect(live.now).toEqual([])
    expect(replan(done, around, fresh.begunAt).laterMin).toBe(0)
  })
})

describe('a day with a cook who is late, quick and forgetful', () => {
  const random = randomFrom(20_261_127)
  const texts = recipes as unknown as { text: string }[]

  it.each(texts.map(({ text }, at) => [at, text] as const))(
    'comes to its end by itself: recipe %i',
    (_at, text) => {
      const read = readRecipes(text, mixContext())
      const dish = read.ok ? read.value[0] : undefined
      if (dish === undefined || dish.parts.every(({ steps }) => steps.length === 0)) return
      let session = sessionFor([dish])
      let now = session.begunAt
      for (let turn = 0; turn < 400; turn += 1) {
        const live = liveOf(session, 1, now)
        for (const { leftMs, gone, dueMs, begunMs } of live.tasks) {
          expect(leftMs).toBeGreaterThanOrEqual(0)
          expect(gone).toBeLessThanOrEqual(1)
          if (dueMs !== null && begunMs !== null) expect(dueMs).toBeGreaterThanOrEqual(begunMs)
        }
        const due = live.running.find(({ state }) => state === 'due')
        const [next] = live.now
        if (next === undefined && live.running.length === 0) break
        if (turn % 4 === 0) {
          const plan = replan(session, around, now, { effort: 200 })
          expect(plan.tasks).toHaveLength(session.tasks.length)
          // Nothing that is still to do is planned for what is past, but for the minute that is going on.
          for (const { id, startMin } of plan.tasks)
            if (live.tasks.find(({ task }) => task.id === id)?.state === 'waiting')
              expect(startMin * MINUTE_MS).toBeGreaterThanOrEqual(now - 2 * MINUTE_MS)
          if (plan.laterMin > 0) session = { ...session, tasks: [...plan.tasks], serveMin: plan.serveMin }
          else expect(plan.serveMin).toBe(session.serveMin)
        }
        if (due !== undefined) session = logged(session, [due.task.id, 'ended', now])
        else if (next !== undefined && random() < 0.1)
          session = logged(session, [next.task.id, 'skipped', now])
        else if (next !== undefined) {
          now = Math.max(now, next.task.startMin * MINUTE_MS + Math.round(random() * 4 - 1) * MINUTE_MS)
          now += Math.round(next.task.task.durationMin * (0.7 + random()) * MINUTE_MS)
          const follows = followedBy(session.tasks, next.task.id)
          session = logged(
            session,
            [next.task.id, 'ended', now],
            ...(follows === null ? [] : ([[follows.id, 'begun', now]] as const)),
          )
        } else now = live.running[0]?.dueMs ?? now + MINUTE_MS
      }
      expect(liveOf(session, 1, now).now).toEqual([])
    },
    60_000,
  )
})

describe('weighing in', () => {
  const assessment = assess(SUPPER, library, defaultKitchen)
  const lines = weighLines(SUPPER, assessment, defaultKitchen)
  const weighing = (key: string, massG: number, instead: string | null = null): Weighing => {
    const line = lines.find((one) => one.key === key)
    if (line === undefined) throw new Error(`no ${key}`)
    const { dishId, partId, lineId, stepId, targetG } = line
    return {
      id: key,
      dishId,
      partId,
      lineId,
      stepId,
      targetG,
      massG,
      at: 0,
      by: 'scale',
      instead,
      additions: [],
    }
  }
  const ofFood = (words: RegExp) => lines.filter(({ name }) => words.test(name))

  it('goes by the steps, a share at a time, and leaves nothing out', () => {
    expect(ofFood(/salt/i).map(({ targetG }) => targetG)).toEqual([3, 3])
    for (const { lineId, massG } of assessment.parts[0]?.lines ?? []) {
      const whole = lines
        .filter((line) => line.lineId === lineId)
        .reduce((sum, { targetG }) => sum + targetG, 0)
      expect(whole).toBeCloseTo(massG ?? 0, 6)
    }
  })

  it('puts what was weighed in the place of what is written, and leaves the rest', () => {
    const [first] = ofFood(/salt/i)
    const [tahini] = ofFood(/tahini/i)
    const made = asWeighed(
      SUPPER,
      lines,
      new Map([
        [first?.key ?? '', 5],
        [tahini?.key ?? '', 31],
      ]),
    )
    const grams = assess(made, library, defaultKitchen).parts[0]?.lines.map(({ massG }) =>
      Math.round(massG ?? 0),
    )
    // Half of the salt is weighed, the other half is as written.
    expect(grams).toEqual([200, 300, 400, 12, 31, 8])
    expect(asWeighed(SUPPER, lines, new Map())).toBe(SUPPER)
  })

  it('keeps the newest of each weighing as made, to the gram', () => {
    const session = sessionFor([SUPPER])
    const [one, two] = ofFood(/salt/i)
    session.weighings.push(
      weighing(one?.key ?? '', 9),
      weighing(one?.key ?? '', 2.6),
      weighing(two?.key ?? '', 3.5, 'sea salt'),
    )
    expect(asMadeOf(session, SUPPER, lines)).toEqual([
      { lineId: one?.lineId, massG: 6.1, instead: 'sea salt' },
    ])
  })

  it('closes a day: what is otherwise, what it came to, the trial as it was made', () => {
    const session = sessionFor([SUPPER])
    const [tomato] = ofFood(/tomato/i)
    const [tahini] = ofFood(/tahini/i)
    const part = SUPPER.parts[0]
    session.weighings.push(weighing(tomato?.key ?? '', 520), weighing(tahini?.key ?? '', 30.2))
    session.measures.push(
      { id: 'm', at: 0, kind: 'yield', dishId: SUPPER.id, partId: part?.id ?? '', stepId: null, value: 1000 },
      {
        id: 's',
        at: 0,
        kind: 'step-mass',
        dishId: SUPPER.id,
        partId: null,
        stepId: part?.steps[1]?.id ?? '',
        value: 190,
      },
    )
    session.notes.push({
      id: 'n',
      at: SERVE,
      taskId: null,
      dishId: SUPPER.id,
      text: 'too wet',
      photoId: null,
    })
    const closing = closingOf(session, SUPPER, bench)
    expect(closing.differences).toMatchObject([{ madeG: 520, writtenG: 400 }])
    expect(differenceWords(closing).join(' ')).toContain('520 g in place of 400 g')
    const trial = madeTrial(session, SUPPER, bench, { id: 't', date: '2026-06-18', clock: () => '13:00' })
    expect(Trial.parse(trial)).toEqual(trial)
    expect(trial.notes).toContain('13:00 too wet')
    expect(trial.parts[0]?.cookedMassG).toBe(1000)
    expect(trial.parts[0]?.steps[1]?.weighedG).toBe(190)
    // What is written stays.
    expect(trial.parts[0]?.lines).toEqual(part?.lines)
  })

  it('shows the ratio that a line decides, as it moves with what is in', () => {
    const dough = {
      ...dishFrom(
        '# Strips\n\nServes 4\n\n## Ingredients\n\n- 200 g vital wheat gluten\n- 250 g water\n- 20 g soy sauce\n\n## Method\n\n1. Knead the gluten with the water and soy sauce for 8 minutes.\n2. Steam for 45 minutes.\n',
      ),
    }
    const part = dough.parts[0]
    if (part === undefined) throw new Error('no part')
    const dish: Dish = {
      ...dough,
      parts: [{ ...part, family: 'bound-dough-slice', originalId: 'chicken_thigh' }],
    }
    const own = weighLines(dish, assess(dish, library, defaultKitchen), defaultKitchen)
    const water = own.find(({ name }) => /^water/i.test(name))
    if (water === undefined) throw new Error('no water')
    const id = decidedBy(water, dish, own, library, defaultKitchen)
    expect(id).not.toBeNull()
    const at = (grams: number) =>
      ratiosWith(dish, own, new Map([[water.key, grams]]), part.id, library, defaultKitchen).find(
        (ratio) => ratio.id === id,
      )?.value ?? 0
    expect(at(300)).not.toBeCloseTo(at(200), 2)
    const salt = weighLines(SUPPER, assessment, defaultKitchen).find(({ name }) => /salt/i.test(name))
    // A part without a family has no ratio to decide.
    expect(salt === undefined ? null : decidedBy(salt, SUPPER, lines, library, defaultKitchen)).toBeNull()
  })

  it('offers first what belongs to a step', () => {
    expect(measuresFor('culture', 'cultured-thick', false)[0]).toBe('pH')
    expect(measuresFor('steam', 'bound-dough-slice', false)[0]).toBe('core')
    expect(measuresFor('simmer', 'coating-sauce', true).slice(0, 3)).toEqual([
      'yield',
      'step-mass',
      'line-spread',
    ])
    // What is no check of texture can be measured anywhere; nothing is offered twice.
    const all = measuresFor('roast', 'bound-patty', true)
    expect(all).toEqual(expect.arrayContaining([...measuresFor(null, null, false)]))
    expect(new Set(all).size).toBe(all.length)
  })

  it('labels a tub with its allergens and the usual date', () => {
    const label = tubLabel(
      { id: 'l', dishId: SUPPER.id, what: SUPPER.name, massG: 300, where: 'fridge' },
      SUPPER,
      assessment,
      bench,
      SERVE,
    )
    expect(label.allergens).toEqual(['legume-pea', 'sesame'])
    expect(label.useBy?.toISOString().slice(0, 10)).toBe('2026-06-22')
    expect(keeps(null, ['grain', 'pulse'], 'fridge').days).toBe(1)
    expect(keeps('cultured-thick', ['nut'], 'fridge').days).toBe(7)
    expect(keeps(null, [], 'counter').days).toBe(0)
    expect(keeps(null, ['pulse'], 'freezer').days).toBe(90)
    expect(usualRemarks('bound-patty')[0]).toBe('falls apart')
    expect(usualRemarks(null).length).toBeGreaterThan(3)
  })
})

describe('a scale that is listened to', () => {
  const says = (g: number | null, more: Partial<ScaleSays> = {}): ScaleSays => ({
    g,
    isStable: true,
    state: 'ok',
    stepG: 0.1,
    tareG: 0,
    onSince: 1,
    ...more,
  })
  const after = (run: WeighRun, ...readings: readonly ScaleSays[]): WeighRun =>
    readings.reduce((now, reading, at) => takeReading(now, reading, at), run)

  it('counts what is gained over whatever stands on it', () => {
    const run = after(beginRun('a', says(412.3)), says(412.3), says(500, { isStable: false }), says(512.4))
    expect(run.netG).toBeCloseTo(100.1, 6)
    expect(run.additions.map(({ massG }) => massG)).toEqual([100.1])
  })

  it('begins to count only once it stands still', () => {
    const run = after(
      beginRun('a', says(3.2, { isStable: false })),
      says(3.6, { isStable: false }),
      says(3.4),
      says(13.4),
    )
    expect(run.netG).toBeCloseTo(10, 6)
  })

  it('carries on what was in when it went out, and wakes at its own zero', () => {
    const out = says(null, { state: 'unplugged', isStable: false })
    const run = after(
      beginRun('a', says(50)),
      says(200),
      out,
      out,
      says(0.3, { onSince: 9, isStable: false }),
      says(25, { onSince: 9 }),
    )
    expect(run).toMatchObject({ netG: 175, isCarried: true, state: 'ok' })
    // Unplugged and plugged in between two readings, as while a page was loaded anew.
    expect(after(beginRun('a', says(50)), says(200), says(10, { onSince: 7 })).netG).toBe(160)
  })

  it('is not fooled by its own tare key, nor by too much on it', () => {
    const tared = after(beginRun('a', says(50)), says(80), says(0, { tareG: 80 }), says(20, { tareG: 80 }))
    expect(tared.netG).toBe(50)
    const over = after(
      beginRun('a', says(50)),
      says(80),
      says(null, { state: 'overload', isStable: false }),
      says(90),
    )
    expect(over).toMatchObject({ netG: 40, isCarried: false })
  })

  it('keeps every addition and every taking out', () => {
    const run = after(beginRun('a', says(0)), says(10), says(10), says(12.5), says(9.5))
    expect(run.additions.map(({ massG }) => massG)).toEqual([10, 2.5, -3])
    expect(run.additions.reduce((sum, { massG }) => sum + massG, 0)).toBeCloseTo(run.netG, 6)
  })
})

describe('the heating of a step', () => {
  it('begins at its start, ends at its end, and never turns back', () => {
    const curve = heatingCurve({ startC: 20, mediumC: 100, endC: 92, minutes: 30 })
    expect(curve[0]).toEqual([0, 20])
    expect(curve.at(-1)?.[0]).toBe(30)
    expect(curve.at(-1)?.[1]).toBeCloseTo(92, 1)
    curve.slice(1).forEach(([, celsius], at) => expect(celsius).toBeGreaterThanOrEqual(curve[at]?.[1] ?? 0))
    expect(curve.find(([minute]) => minute >= 15)?.[1]).toBeGreaterThan(60)
  })

  it('cools, and stays where there is nothing to heat', () => {
    const cold = heatingCurve({ startC: 80, mediumC: 4, endC: 10, minutes: 60 })
    expect(cold.at(-1)?.[1]).toBeCloseTo(10, 1)
    expect(heatingCurve({ startC: 20, mediumC: 20, endC: 20, minutes: 5 }).every(([, c]) => c === 20)).toBe(
      true,
    )
    expect(heatingCurve({ startC: 20, mediumC: 100, endC: 120, minutes: 5 }).at(-1)?.[1]).toBeLessThanOrEqual(
      100,
    )
  })
})
