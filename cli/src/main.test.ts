import { spawnSync } from 'node:child_process'
import { fileURLToPath } from 'node:url'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { contextFor } from './input'
import { linesEntry } from './lines'
import { main } from './main'
import { defaultKitchen } from '@frijol/core/model'

const bin = fileURLToPath(new URL('../bin/frijol.mjs', import.meta.url))
const demo = (name: string): string => fileURLToPath(new URL(`../../demo/files/${name}`, import.meta.url))

async function frijol(args: string[], input = '') {
  let stdout = ''
  let stderr = ''
  const status = await main(args, {
    input: () => input,
    out: (text) => (stdout += text),
    err: (text) => (stderr += text),
  })
  return { status, stdout, stderr }
}
const json = (text: string): unknown => JSON.parse(text)

describe('frijol', () => {
  it('lines: reads lines and returns unknown foods as null with a finding', async () => {
    const { status, stdout } = await frijol(['lines'], '2 cups cooked chickpeas\n1 cup zorbel\n\n')
    expect(status).toBe(0)
    expect(json(stdout)).toMatchObject([
      {
        text: '2 cups cooked chickpeas',
        foodId: 'chickpeas-cooked',
        amount: { low: 2, unit: 'cup' },
        massG: { value: expect.closeTo(328, 0) as number },
      },
      { foodId: null, massG: null, findings: [{ rule: 'unknown-food' }] },
    ])
  })

  it('says how it is used when asked', async () => {
    const { status, stdout, stderr } = await frijol(['--help'])
    expect([status, stderr]).toEqual([0, ''])
    for (const word of ['lines', 'assess', 'scale', '--portions', '--have']) expect(stdout).toContain(word)
  })

  it('runs as a program, from standard input to standard output', () => {
    const run = (args: string[], input: string) =>
      spawnSync(process.execPath, [bin, ...args], { input, encoding: 'utf8' })
    expect(run(['lines'], '60 g vital wheat gluten')).toMatchObject({ status: 0, stderr: '' })
    const wrong = run(['read'], '{"a":1}')
    expect(wrong).toMatchObject({ status: 2, stdout: '' })
    expect(json(wrong.stderr)).toHaveProperty('hint')
  }, 60_000)

  it('lines: takes the region of cups', async () => {
    const { stdout } = await frijol(['lines', '-', '--region', 'metric'], '1 cup water')
    expect(json(stdout)).toMatchObject([{ massG: { value: expect.closeTo(249.5, 0) as number } }])
  })

  it('assess: prints the named fields', async () => {
    const { status, stdout } = await frijol([
      'assess',
      demo('moussaka.md'),
      '--original',
      'lamb_mince',
      '--portions',
      '4',
    ])
    expect(status).toBe(0)
    expect(json(stdout)).toMatchObject({
      name: 'Moussaka',
      portions: 4,
      parts: [
        {
          family: 'crumble-mince',
          rawMassG: expect.any(Number) as number,
          ratios: [{ id: 'free-water' }, {}, {}, {}, {}, {}, {}],
        },
        { family: null },
        { family: null },
      ],
      perPortion: { sodiumMg: expect.any(Number) as number },
      diets: ['plant-based'],
    })
  })

  it('assess: a step’s masses are of the whole part, and follow from what left', async () => {
    const { parts } = json((await frijol(['assess', demo('moussaka.jsonld')])).stdout) as {
      parts: {
        cookedMassG: number
        steps: {
          massG: number
          waterG: number
          lot: { massG: number }
          lost: { massG: number }[]
          gained: { massG: number }[]
        }[]
      }[]
    }
    const sum = (moves: readonly { massG: number }[]) => moves.reduce((total, { massG }) => total + massG, 0)
    for (const { cookedMassG, steps } of parts) {
      expect(steps.at(-1)?.massG).toBeCloseTo(cookedMassG, 6)
      steps.slice(1).forEach(({ massG, lost, gained, lot }, at) => {
        expect((steps[at]?.massG ?? 0) + sum(gained) - sum(lost)).toBeCloseTo(massG, 6)
        expect(lot.massG).toBeLessThanOrEqual(massG + 1e-6)
      })
    }
  })

  it('read, export and read again: the same lines', async () => {
    const read = json((await frijol(['read', demo('moussaka.jsonld')])).stdout) as {
      parts: { lines: { text: string }[] }[]
    }[]
    const exported = await frijol(['export', demo('moussaka.jsonld'), '--as', 'md'])
    const again = json((await frijol(['read', '-'], exported.stdout)).stdout) as typeof read
    const texts = (dishes: typeof read) => dishes[0]?.parts.map(({ lines }) => lines.map(({ text }) => text))
    expect(texts(again)).toEqual(texts(read))
  })

  it('scale: to portions, to a mass, to what is there', async () => {
    const scale = async (...args: string[]) => {
      const { status, stdout, stderr } = await frijol(['scale', demo('moussaka.jsonld'), ...args])
      return {
        status,
        stderr,
        value: stdout === '' ? null : (json(stdout) as { factor: number; reason: string; notes: unknown[] }),
      }
    }
    expect((await scale('--portions', '12')).value).toMatchObject({
      factor: 2,
      dish: { aim: { portions: 12 } },
    })
    expect((await scale('--portions', '12')).value?.notes.length).toBeGreaterThan(0)
    expect((await scale('--have', 'walnuts=50 g')).value?.reason).toContain('Limited by walnuts')
    expect((await scale('--have', 'walnuts=50 g', '--have', 'olive oil=1 tbsp')).value?.factor).toBeLessThan(
      0.4,
    )
    expect((await scale('--mass', '671')).value?.factor).toBeCloseTo(0.5, 1)
    expect(await scale()).toMatchObject({ status: 2 })
    expect(await scale('--have', 'seaweed soup=2')).toMatchObject({ status: 2 })
    expect(await scale('--have', 'nonsense')).toMatchObject({ status: 2 })
  })

  it('plan: a problem as its words say; one that cannot be planned names what collides', async () => {
    const task = (id: string, more: object) => ({ id, durationMin: 8, uses: { cook: 1 }, after: [], ...more })
    const resources = [{ id: 'cook', capacity: 1 }]
    const fine = await frijol(
      ['plan', '-'],
      JSON.stringify({ resources, tasks: [task('chop', {}), task('fry', {})] }),
    )
    expect(JSON.parse(fine.stdout)).toMatchObject({
      makespanMin: 16,
      lowerBoundMin: 16,
      optimal: true,
      broken: [],
    })
    const soon = { after: [{ id: 'boil', maxLagMin: 5 }] }
    const stuck = await frijol(
      ['plan', '-'],
      JSON.stringify({
        resources,
        tasks: [task('boil', { uses: {} }), task('sear', soon), task('fry', soon)],
      }),
    )
    expect(stuck.status).toBe(2)
    expect(JSON.parse(stuck.stderr)).toMatchObject({ collide: ['boil', 'sear', 'fry'] })
    const wrong = await frijol(
      ['plan', '-'],
      JSON.stringify({ resources, tasks: [task('chop', { durationMin: 2.5 })] }),
    )
    expect(wrong.status).toBe(2)
    expect(JSON.parse(wrong.stderr)).toMatchObject({ at: 'tasks.0.durationMin' })
  })

  it('plan: dishes on the clock, as a sheet, as a calendar; a backup is a day of its dishes', async () => {
    const backup = new URL('../../demo/files/saltmarsh-row.backup.json', import.meta.url).pathname
    const moussaka = new URL('../../demo/files/moussaka.jsonld', import.meta.url).pathname
    const at = ['--kitchen', backup, '--serve', '2026-06-18T13:00:00Z', '--night', '22-7']
    const day = ['plan', moussaka, ...at]
    const all = await frijol(['plan', backup, ...at])
    expect(all.stdout).toContain('Plate Courgette keftedes')
    const { stdout } = await frijol(day)
    const planned = JSON.parse(stdout) as { serve: string; makespanMin: number; tasks: { endMin: number }[] }
    expect(planned.serve).toBe('2026-06-18T13:00:00.000Z')
    expect(Math.max(...planned.tasks.map(({ endMin }) => endMin))).toBe(planned.makespanMin)
    expect((await frijol([...day, '--as', 'md'])).stdout).toContain('Plate Moussaka')
    expect((await frijol([...day, '--as', 'ics'])).stdout).toContain('BEGIN:VALARM')
    for (const bad of [
      ['--as', 'pdf'],
      ['--night', 'late'],
      ['--start', '2026-06-18T09:00'],
    ])
      expect((await frijol([...day, ...bad])).status).toBe(2)
    expect((await frijol(['plan', backup, '--serve', 'noon'])).status).toBe(2)
  })

  it('tune: brings a sauce to a stated thickness', async () => {
    const sauce =
      '# Sauce\n\nServes 4\n\n- 500 g soy milk\n- 20 g wheat flour\n- 20 g olive oil\n- 3 g salt\n\n1. Simmer everything, stirring, for 8 minutes.\n'
    const { status, stdout: out } = await frijol(
      ['tune', '-', '--original', 'sauce_white', '--viscosity', '0.2', '--at', '60'],
      sauce,
    )
    expect(status).toBe(0)
    const { consistency, objective } = JSON.parse(out) as {
      consistency: { after: number }
      objective: { after: number }
    }
    expect(consistency.after).toBeGreaterThan(0.16)
    expect(consistency.after).toBeLessThan(0.25)
    expect(objective.after).toBeLessThan(0.3)
  })

  it('takes the kitchen of a backup: its prices are counted, and a file that is none is refused', async () => {
    const backup = new URL('../../demo/files/saltmarsh-row.backup.json', import.meta.url).pathname
    const { stdout: out } = await frijol(
      ['assess', '-', '--kitchen', backup],
      '# Nuts\n\nServes 2\n\n- 100 g walnuts\n\n1. Eat.\n',
    )
    expect((JSON.parse(out) as { perPortion: { cost: number | null } }).perPortion.cost).toBeGreaterThan(0)
    const bad = await frijol(
      ['assess', '-', '--kitchen', new URL('../../package.json', import.meta.url).pathname],
      '100 g walnuts',
    )
    expect(bad.status).toBe(2)
    expect(JSON.parse(bad.stderr)).toMatchObject({ error: expect.stringContaining('no kitchen') as string })
  })

  it('convert and swap: a way of one’s own, and what amounts are matched by', async () => {
    const stew =
      '# Stew\n\nServes 4\n\n- 400 g cooked chickpeas\n- 60 g soy sauce\n- 500 g water\n\n1. Simmer everything for 20 minutes.\n'
    const milder = await frijol(['convert', '-', '--toward', 'lower-sodium'], stew)
    expect((JSON.parse(milder.stdout) as { swaps: unknown[] }).swaps).toHaveLength(1)
    const matched = await frijol(['swap', '-', '--food', 'soy-sauce', '--match', 'sodium'], stew)
    const [first] = JSON.parse(matched.stdout) as { reasons: string[] }[]
    expect(first?.reasons.join(' ')).toContain('as much sodium')
    for (const args of [
      ['convert', '-', '--toward', 'faster'],
      ['swap', '-', '--food', 'soy-sauce', '--match', 'colour'],
    ])
      expect((await frijol(args, stew)).status).toBe(2)
  })

  it('tune: proposes amounts that keep a limit, holds what is held, and names limits that collide', async () => {
    const patties = `# Bean patties

Serves 4

## Ingredients

- 300 g cooked black beans
- 80 g rolled oats
- 60 g walnuts, chopped
- 40 g tomato paste
- 20 g soy sauce
- 5 g salt

## Method

1. Mash the beans.
2. Mix in everything else.
3. Shape into 4 patties 15 mm thick.
4. Fry for 8 minutes, turning once.
`
    const args = ['tune', '-', '--original', 'beef_patty', '--limit', 'sodiumMg<=500', '--hold', 'walnuts']
    const { status, stdout } = await frijol(args, patties)
    expect(status).toBe(0)
    const value = json(stdout) as {
      lines: { foodId: string; beforeG: number; afterG: number }[]
      objective: { before: number; after: number }
      limits: { id: string; value: number; holds: boolean }[]
      dish: unknown
    }
    expect(value.objective.after).toBeLessThan(value.objective.before)
    expect(value.limits).toMatchObject([{ id: 'sodiumMg', holds: true }])
    expect(value.lines.find(({ foodId }) => foodId === 'walnuts')).toMatchObject({ beforeG: 60, afterG: 60 })
    const again = await frijol(['assess', '-'], JSON.stringify(value.dish))
    expect(json(again.stdout)).toMatchObject({
      perPortion: { sodiumMg: expect.closeTo(value.limits[0]?.value ?? 0, 6) as number },
    })

    const wrong = await frijol(
      ['tune', '-', '--original', 'beef_patty', '--limit', 'proteinG>=90', '--limit', 'energyKcal<=300'],
      patties,
    )
    expect(wrong.status).toBe(2)
    expect(json(wrong.stderr)).toMatchObject({ collide: expect.arrayContaining(['proteinG']) as string[] })
    for (const bad of [
      ['--limit', 'salt'],
      ['--hold', 'kryptonite'],
      ['--part', 'nothing'],
      ['--limit', 'cost<=1'],
    ])
      expect(
        (await frijol(['tune', '-', '--original', 'beef_patty', ...bad], patties)).status,
        bad.join(' '),
      ).toBe(2)
  }, 60_000)

  it('swap: ranks what can stand in; convert: the whole dish without some foods', async () => {
    const sauce =
      '# Sauce\n\nServes 4\n\n## Ingredients\n\n- 300 ml milk\n- 30 g butter\n- 30 g flour\n\n## Method\n\n1. Melt the butter, stir in the flour.\n2. Add the milk and boil for 5 minutes.\n'
    const { stdout } = await frijol(
      ['swap', '-', '--family', 'coating-sauce', '--food', 'wheat-flour', '--without', 'gluten'],
      sauce,
    )
    const proposals = json(stdout) as {
      replaces: string
      with: { foodId: string; text: string }[]
      score: number
    }[]
    expect(proposals[0]).toMatchObject({ replaces: 'wheat-flour', with: [{ foodId: 'rice-flour' }] })
    expect(proposals[0]?.with[0]?.text).toMatch(/^27 g .*rice flour/)
    const all = await frijol(['swap', '-', '--without', 'animal'], sauce)
    expect(new Set((json(all.stdout) as typeof proposals).map(({ replaces }) => replaces))).toEqual(
      new Set(['milk-whole', 'butter']),
    )
    const made = await frijol(['convert', '-', '--without', 'animal,gluten'], sauce)
    expect(json(made.stdout)).toMatchObject({ left: [], swaps: [{}, {}, {}] })
    for (const bad of [[], ['--food', 'kryptonite'], ['--line', '9'], ['--food', 'walnuts']])
      expect((await frijol(['swap', '-', ...bad], sauce)).status).toBe(2)
    expect((await frijol(['convert', '-'], sauce)).status).toBe(2)
  })

  it('library: finds by id and by another region’s word', async () => {
    expect(json((await frijol(['library', '--food', 'courgette'])).stdout)).toMatchObject([
      { id: 'courgette', source: expect.stringContaining('D077') as string },
    ])
    expect(json((await frijol(['library', 'zucchini'])).stdout)).toMatchObject([{ id: 'courgette' }])
  })

  it.each([
    [['read', '-'], '{"a":1}', 'no recipe'],
    [['read', '/no/such/file'], '', 'cannot be read'],
    [['assess', '-', '--original', 'nothing'], '1 egg', 'original'],
    [['assess', '-', '--family', 'nothing'], '1 egg', 'family'],
    [['assess', '-', '--portions', '-2'], '1 egg', ''],
    [['export', '-', '--as', 'doc'], '1 egg', '--as'],
    [['bake'], '', 'command'],
    [[], '', 'command'],
    [['lines', '--wrong'], '', ''],
  ])('%j is the input’s fault: exit 2, one JSON object, no stack', async (args, input, words) => {
    const { status, stdout, stderr } = await frijol(args, input)
    expect(status).toBe(2)
    expect(stdout).toBe('')
    expect(json(stderr)).toMatchObject({
      error: expect.stringContaining(words) as string,
      at: expect.any(String) as string,
      hint: expect.any(String) as string,
    })
  })

  it('reads any line of printable text without throwing', () => {
    const { reader } = contextFor(defaultKitchen)
    const printable = fc.string({ maxLength: 500, unit: 'grapheme-ascii' })
    fc.assert(
      fc.property(printable, (text) => JSON.stringify(linesEntry(text, reader)).length > 0),
      { numRuns: 400 },
    )
  })
})
