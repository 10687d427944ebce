import { describe, expect, it } from 'vitest'
import { FAMILIES } from '../model'
import { familyTable } from '../texture'
import { SYMPTOMS, symptomsFor, symptomsIn, symptomsOfGaps, symptomOf, tapped } from '.'

describe('the symptom table', () => {
  it('holds every symptom once, each with causes, a check, levers and a risk', () => {
    expect(new Set(SYMPTOMS.map(({ id }) => id)).size).toBe(60)
    for (const { id, causes, check, levers, risk, said } of SYMPTOMS) {
      expect(causes.length, id).toBeGreaterThanOrEqual(3)
      expect(
        causes.every(({ looks }) => looks.length > 0),
        id,
      ).toBe(true)
      expect(check.length * levers.length * risk.length * said.length, id).toBeGreaterThan(0)
    }
  })

  it('has something for every family', () => {
    for (const family of FAMILIES) {
      const [first] = symptomsFor(family)
      expect(first?.families, family).toContain(family)
    }
  })

  it('shows symptoms by attributes that some family has', () => {
    const known = new Set(
      FAMILIES.flatMap((family) => familyTable(family)?.attributes.map(({ id }) => id) ?? []),
    )
    for (const { id, triggers } of SYMPTOMS)
      for (const { attribute } of triggers) expect(known.has(attribute), `${id} ${attribute}`).toBe(true)
  })
})

describe('what a cook says', () => {
  it.each([
    ['it fell apart when I flipped it', 'bound-patty', 'S01'],
    ['the patties keep breaking up on the grill', 'bound-patty', 'S01'],
    ['mushy in the middle', 'bound-patty', 'S02'],
    ['pure rubber, squeaky', 'bound-dough-slice', 'S03'],
    ['came out like bread, spongy', 'bound-dough-slice', 'S04'],
    ['dry and a bit mealy', 'bound-patty', 'S05'],
    ['the sauce is way too thin', 'coating-sauce', 'S42'],
    ['gluey when it cools', 'coating-sauce', 'S43'],
    ['it curdled', 'pourable-sauce', 'S41'],
    ['gritty on the tongue', 'spreadable', 'S16'],
    ['no stretch whatsoever', 'stretch-melt', 'S46'],
    ['the cheese doesn’t melt', 'stretch-melt', 'S45'],
    ['P3 said it was bland', 'crumble-mince', 'S21'],
    ['reads as sausage: too smoky', 'crumble-mince', 'S30'],
    ['my foam collapsed', 'foam', 'S37'],
    ['never set in the middle', 'custard-gel', 'S35'],
    ['too salty', 'flaked', 'S23'],
    ['tastes beany', 'bound-patty', 'S14'],
    ['went to bits as soon as the spatula touched it', 'bound-patty', 'S01'],
    ['like eating hummus, no texture', 'bound-patty', 'S02'],
    ['claggy, stuck to my teeth', 'bound-patty', 'S07'],
    ['the breadcrumbs slid off', 'bound-patty', 'S27'],
    ['slides straight off the pasta', 'coating-sauce', 'S42'],
    ['you could stand a spoon in it', 'coating-sauce', 'S43'],
    ['just sat there under the grill, never melted', 'stretch-melt', 'S45'],
    ['rock solid the next morning', 'bound-patty', 'S59'],
    ['yogurt stayed runny, lots of whey', 'cultured-thick', 'S52'],
    ['tough as old boots', 'bound-dough-slice', 'S09'],
  ] as const)('“%s” of a %s is %s', (words, family, id) => {
    expect(symptomsIn(words, family)[0]?.symptom.id).toBe(id)
  })

  it('is not what a cook denies', () => {
    expect(symptomsIn('it did not fall apart', 'bound-patty').map(({ symptom }) => symptom.id)).not.toContain(
      'S01',
    )
    expect(symptomsIn('no longer dry', 'bound-patty')).toEqual([])
  })

  it('is nothing where nothing is wrong', () => {
    expect(symptomsIn('lovely, everybody had seconds', 'bound-patty')).toEqual([])
  })

  it('can be two things at once; the weights sum to one', () => {
    const met = symptomsIn('dry, and it fell apart', 'bound-patty')
    expect(met.map(({ symptom }) => symptom.id).sort()).toEqual(expect.arrayContaining(['S01', 'S05']))
    expect(met.reduce((sum, { weight }) => sum + weight, 0)).toBeCloseTo(1, 9)
  })
})

describe('gaps of a tasting', () => {
  it('lead to the symptom that fits most of them', () => {
    const met = symptomsOfGaps(
      [
        { attribute: 'springiness', gap: 2.5 },
        { attribute: 'chewiness', gap: 2 },
        { attribute: 'tenderness', gap: -2 },
      ],
      'bound-dough-slice',
    )
    expect(met[0]?.symptom.id).toBe('S03')
  })

  it('inside the repeatability of a panel are none', () => {
    expect(symptomsOfGaps([{ attribute: 'firmness', gap: -0.9 }], 'bound-patty')).toEqual([])
  })

  it('that were tapped count alike', () => {
    expect(tapped(['S01', 'S05', 'nothing']).map(({ weight }) => weight)).toEqual([0.5, 0.5])
    expect(symptomOf('S60')?.words).toContain('Sour')
  })
})
