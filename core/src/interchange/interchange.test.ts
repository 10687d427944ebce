import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { testContext as context, dishOf, NOW, partOf, stepOf } from '../../test/dishes'
import { testKitchen, testLibrary } from '../../test/foods'
import { assess } from '../assess'
import { Dish } from '../model'
import { makeBackup, readBackup } from './backup'
import { toCsv } from './csv'
import { jsonLdScripts } from './html'
import { toJsonLd } from './jsonLd'
import { toMarkdown } from './markdown'
import { formatOf, readRecipes } from './read'
import { numberCell, readTable } from './readTable'
import { parseJson } from './safeJson'

const read = (text: string): Dish[] => {
  const result = readRecipes(text, context)
  if (!result.ok) throw new Error(result.issues[0]?.message)
  return result.value
}
const refusal = (text: string) => {
  const result = readRecipes(text, context)
  return result.ok ? null : (result.issues[0] ?? null)
}
const texts = (dish: Dish | undefined) => dish?.parts.map(({ lines }) => lines.map(({ text }) => text))
const sample = (): Dish => ({
  ...dishOf(
    partOf(['2 cups white beans, half mashed', '100 g walnuts', '3 zorbels'], 'crumble-mince', {
      name: 'Mince',
      steps: [
        stepOf('Brown for 10 minutes at 180 °C.', {
          until: { kind: 'keeps', fraction: 0.8 },
          byHand: ['until'],
        }),
      ],
      cookedMassG: 300,
    }),
    partOf(['250 ml water', '20 g cornflour'], null, { name: 'White sauce' }),
  ),
  name: 'Beans & walnuts "au gratin"',
  note: 'Rest before serving.',
})

describe('JSON-LD', () => {
  it('reads back to the same masses, families, steps and aim', () => {
    const dish = {
      ...sample(),
      aim: { ...sample().aim, portions: 6, excluded: ['peanut'] },
      extra: { author: { '@type': 'Person', name: 'P1' } },
    }
    const before = assess(dish, testLibrary, testKitchen)
    const [again] = read(toJsonLd(dish, before.perPortion))
    if (again === undefined) throw new Error('nothing was read')
    const after = assess(again, testLibrary, testKitchen)
    expect(texts(again)).toEqual(texts(dish))
    expect(after.parts.map(({ lines }) => lines.map(({ massG }) => massG))).toEqual(
      before.parts.map(({ lines }) => lines.map(({ massG }) => massG)),
    )
    expect(
      again.parts.map(({ family, originalId, cookedMassG, name }) => ({
        family,
        originalId,
        cookedMassG,
        name,
      })),
    ).toEqual(
      dish.parts.map(({ family, originalId, cookedMassG, name }) => ({
        family,
        originalId,
        cookedMassG,
        name,
      })),
    )
    expect(again.parts[0]?.steps[0]).toMatchObject({
      text: 'Brown for 10 minutes at 180 °C.',
      until: { kind: 'keeps', fraction: 0.8 },
      durationMin: 10,
      tempC: 180,
    })
    expect(again).toMatchObject({ name: dish.name, note: dish.note, aim: dish.aim, extra: dish.extra })
  })

  it('keeps a food that was chosen by hand', () => {
    const dish = sample()
    const [first] = dish.parts
    const chosen = first?.lines[2]
    if (first === undefined || chosen === undefined) throw new Error('a line is wanted')
    const lines = [
      ...first.lines.slice(0, 2),
      { ...chosen, ingredientId: 'walnut', choice: 'chosen' as const },
    ]
    const [again] = read(toJsonLd({ ...dish, parts: [{ ...first, lines }] }, null))
    expect(again?.parts[0]?.lines[2]).toMatchObject({ ingredientId: 'walnut', choice: 'chosen' })
  })

  it('reads what the web writes: graphs, sections, text instructions, odd yields', () => {
    const [dish] = read(
      JSON.stringify({
        '@context': 'https://schema.org',
        '@graph': [
          { '@type': 'WebPage', name: 'Page' },
          {
            '@type': ['Thing', 'Recipe'],
            name: 'Bean soup',
            recipeYield: ['6', '6 servings'],
            recipeIngredient: ['1 cup <b>white beans</b>', '&frac12; tsp salt'],
            recipeInstructions: [
              {
                '@type': 'HowToSection',
                name: 'Soup',
                itemListElement: [{ '@type': 'HowToStep', text: 'Boil.' }],
              },
              '1. Serve.\n2. Eat.',
            ],
            totalTime: 'PT30M',
          },
        ],
      }),
    )
    expect(dish?.aim.portions).toBe(6)
    expect(texts(dish)).toEqual([['1 cup white beans', '½ tsp salt']])
    expect(dish?.written.map(({ text }) => text)).toEqual(['Boil.', 'Serve.', 'Eat.'])
    expect(dish?.parts[0]?.steps.map(({ text }) => text)).toEqual(['Boil.'])
    expect(dish?.extra).toEqual({ totalTime: 'PT30M' })
  })

  it('does not trust what stands under its own prefix', () => {
    const spoilt = JSON.parse(toJsonLd(sample(), null)) as {
      hasPart: { 'frijol:part': { family: string } }[]
    }
    const [part] = spoilt.hasPart
    if (part !== undefined) part['frijol:part'].family = 'no-such-family'
    expect(refusal(JSON.stringify(spoilt))?.code).toBe('not-valid')
  })
})

describe('HTML', () => {
  const page = (script: string) =>
    `<!doctype html><html><head><script>alert(1)</script><script type="application/ld+json">${script}</script></head><body><p>Hi</p></body></html>`
  it('takes the JSON-LD out of a page and nothing else', () => {
    expect(jsonLdScripts(page('{"a":1}'))).toEqual(['{"a":1}'])
    expect(
      texts(
        read(
          page(JSON.stringify({ '@type': 'Recipe', name: 'Soup', recipeIngredient: ['1 cup white beans'] })),
        )[0],
      ),
    ).toEqual([['1 cup white beans']])
  })
  it('skips scripts that are broken and says when none is a recipe', () => {
    expect(refusal(page('{"a": '))?.code).toBe('no-recipe')
    expect(refusal('<p>nothing</p>')?.code).toBe('no-recipe')
  })
})

describe('Markdown and text', () => {
  it('reads back what it writes', () => {
    const dish = sample()
    const [again] = read(toMarkdown(dish))
    expect(again?.name).toBe(dish.name)
    expect(texts(again)).toEqual(texts(dish))
    expect(again?.parts.map(({ name }) => name)).toEqual(['Mince', 'White sauce'])
    expect(again?.parts[0]?.steps[0]?.text).toBe('Brown for 10 minutes at 180 °C.')
    expect(again?.aim.portions).toBe(4)
  })

  it('reads back any line text', () => {
    const word = fc
      .stringMatching(/^[a-zA-Z0-9*_#<>[\]`\\!~|()½¼ .,'"-]{1,60}$/)
      .map((text) => text.replace(/\s+/g, ' ').trim())
    fc.assert(
      fc.property(
        word.filter((text) => text !== ''),
        (text) => {
          const dish = sample()
          const [part] = dish.parts
          const line = part?.lines[0]
          if (part === undefined || line === undefined) throw new Error('a line is wanted')
          const [again] = read(toMarkdown({ ...dish, parts: [{ ...part, lines: [{ ...line, text }] }] }))
          expect(texts(again)).toEqual([[text]])
        },
      ),
      { numRuns: 300 },
    )
  })

  it('reads a Markdown recipe of another hand', () => {
    const [dish] = read(
      '# Fritters\n\nServes 4\n\nCrisp and green.\n\n## Ingredients\n\n* 2 cups white beans\n* 1 tsp salt\n\n### For the dip\n\n- 100 g walnuts\n\n## Method\n\n1. Mash.\n2. Fry at 350 F for 3 to 5 minutes.\n',
    )
    expect(dish).toMatchObject({ name: 'Fritters', note: 'Crisp and green.', aim: { portions: 4 } })
    expect(dish?.parts.map(({ name }) => name)).toEqual(['Main', 'Dip'])
    expect(dish?.parts[0]?.steps[1]).toMatchObject({ operation: 'deep-fry', durationMin: 4, tempC: 177 })
  })

  it('reads a plain paste', () => {
    const [dish] = read(
      'Bean mince\nServes 2\n\n2 cups white beans\n1 tsp salt\n\nFor the topping:\n100 g walnuts\n\nMethod\n1. Mash the beans.\n2. Bake 20 minutes.\n\nNotes\nKeeps three days.',
    )
    expect(dish).toMatchObject({ name: 'Bean mince', note: 'Keeps three days.', aim: { portions: 2 } })
    expect(texts(dish)).toEqual([['2 cups white beans', '1 tsp salt'], ['100 g walnuts']])
    expect(dish?.parts.flatMap(({ steps }) => steps.map(({ text }) => text))).toEqual([
      'Mash the beans.',
      'Bake 20 minutes.',
    ])
  })

  it.each([
    ['{"a":1}', 'json'],
    ['[{"a":1}]', 'json'],
    ['- [ ] 1 egg', 'text'],
    ['[ ] 1 egg', 'text'],
    ['<!doctype html><p>', 'html'],
    ['# Soup\n- 1 egg', 'markdown'],
    ['Soup\n1 egg', 'text'],
  ])('takes %j for %s', (text, format) => {
    expect(formatOf(text)).toBe(format)
  })
})

describe('wrong input', () => {
  const deep = `${'{"a":'.repeat(80)}1${'}'.repeat(80)}`
  it.each([
    ['', 'empty'],
    ['{"name": ', 'not-json'],
    ['{"name": "x"}', 'no-recipe'],
    ['{"@type":"Recipe","name":"x"}', 'no-ingredients'],
    ['{"@type":"Recipe","recipeIngredient":["1 egg"],"__proto__":{"x":1}}', 'unsafe-json'],
    [deep, 'unsafe-json'],
    ['\u0000\u0001binary', 'not-text'],
    [`{"x":"${'y'.repeat(20_000_001)}"}`, 'too-large'],
    ['{"format":"frijol/backup"}', 'is-backup'],
    ['{"format":"frijol/dish","version":1}', 'not-valid'],
    [
      JSON.stringify({
        '@type': 'Recipe',
        name: 'x',
        recipeIngredient: Array.from({ length: 301 }, () => '1 egg'),
      }),
      'too-long',
    ],
  ])('is refused with a reason (%#)', (text, code) => {
    const issue = refusal(text)
    expect(issue?.code).toBe(code)
    expect(issue?.message.length).toBeGreaterThan(20)
  })

  it('never throws, whatever the text', () => {
    fc.assert(
      fc.property(
        fc.oneof(fc.string({ maxLength: 300 }), fc.json()),
        (text) => void readRecipes(text, context),
      ),
    )
  })

  it('leaves the prototype of objects alone', () => {
    expect(parseJson('{"a":{"constructor":{"prototype":{"x":1}}}}')).toMatchObject({ ok: false })
    expect(({} as Record<string, unknown>)['x']).toBeUndefined()
  })

  it('reads its own dish document and keeps its id', () => {
    const dish = sample()
    expect(read(JSON.stringify(dish))[0]).toEqual(dish)
  })
})

describe('backup', () => {
  const content = { kitchen: testKitchen, dishes: [sample()], trials: [], ingredients: [] }
  it('reads back whole', () => {
    const again = readBackup(makeBackup(content, NOW))
    expect(again).toMatchObject({ ok: true, value: content })
  })
  it('reads a backup from before packs were kept', () => {
    const older: Partial<typeof testKitchen> = { ...testKitchen }
    delete older.packs
    const text = makeBackup({ ...content, kitchen: older as typeof testKitchen }, NOW)
    expect(readBackup(text)).toMatchObject({ ok: true, value: { kitchen: { packs: [] } } })
  })
  it('refuses a changed, cut or foreign file', () => {
    const text = makeBackup(content, NOW)
    expect(readBackup(text.replace('Rest before', 'Rest after'))).toMatchObject({
      ok: false,
      issues: [{ code: 'checksum' }],
    })
    expect(readBackup(text.slice(0, -40))).toMatchObject({ ok: false, issues: [{ code: 'not-json' }] })
    expect(readBackup('{"format":"other"}')).toMatchObject({ ok: false, issues: [{ code: 'not-a-backup' }] })
  })
})

describe('tables', () => {
  it('finds the delimiter and the decimal mark', () => {
    const german = readTable('\uFEFFName;Preis;g\nBohnen;1,60;1.000\nSalz;0,5;500\n')
    if (!german.ok) throw new Error('not read')
    expect(german.value).toMatchObject({
      columns: ['Name', 'Preis', 'g'],
      delimiter: ';',
      isDecimalComma: true,
    })
    expect(numberCell('1.000,5', german.value)).toBe(1000.5)
    const english = readTable('name,price\n"Beans, white",€1.60\n')
    if (!english.ok) throw new Error('not read')
    expect(english.value.rows).toEqual([['Beans, white', '€1.60']])
    expect(numberCell('€1,234.60', english.value)).toBe(1234.6)
    expect(numberCell(' ', english.value)).toBeNull()
    expect(numberCell('none', english.value)).toBeNaN()
  })

  it.each(['', 'just words', 'one\n1', 'a,b'])('says when %j is no table', (text) => {
    expect(readTable(text)).toMatchObject({ ok: false, issues: [{ code: 'no-table' }] })
  })
})

describe('CSV', () => {
  it('quotes as RFC 4180 and defuses formulas', () => {
    const text = toCsv(
      ['name', 'g'],
      [
        ['beans, "white"', 1.5],
        ['=1+1', null],
        ['-5 things', -5],
      ],
    )
    expect(text).toContain('"beans, ""white""",1.5\r\n')
    expect(text).not.toMatch(/(?:^|\n)=1/)
    expect(text).toContain(',-5')
  })
})
