import { describe, expect, it } from 'vitest'
import { parse } from './clauses'
import { doingsIn } from './doings'

const operations = (text: string) => doingsIn(text).map(({ operation }) => operation)
/** What is left of a text once stretches that tell when, why or how are blanked. */
const bare = (text: string): string => parse(text).bare.replace(/\s+/g, ' ').trim()

describe('a sentence in its doings', () => {
  it.each([
    ['Rinse the lentils, bring them to the boil, then simmer 25 minutes.', ['rinse', 'heat', 'simmer']],
    ['Drain and rinse the beans.', ['drain', 'rinse']],
    ['Soak the chickpeas overnight, drain, and grind to a paste.', ['soak', 'drain', 'blend']],
    ['Form into patties and chill for half an hour.', ['shape', 'chill']],
    ['Roll out the pastry and line a 24 cm tart tin.', ['shape']],
    ['Take the lid off and let the liquid cook away.', ['reduce']],
    ['Lift out onto kitchen paper.', ['drain']],
    ['Scoop out the flesh and chop it.', ['trim', 'chop']],
    ['Press both sides of each slab into the spice mix.', ['coat']],
    ['Roll the balls in breadcrumbs.', ['coat']],
    ['Dip the slices in batter, then cover with panko.', ['coat', 'coat']],
    ['Turn out on a plate to cool.', ['cool']],
    ['Stir it over a medium heat until it thickens, five minutes.', ['heat']],
    ['Knead for 8 minutes. Rest under a cloth for an hour.', ['knead', 'rest']],
    ['Pour the water off.', ['drain']],
    ['Pass it through a sieve.', ['strain']],
    ['Whizz until smooth.', ['blend']],
    ['Cold smoke for 40 minutes.', ['infuse']],
    ['Cook for 2 minutes before adding the stock. Bubble for 20 minutes.', ['heat', 'simmer']],
    ['While they boil chop the onions and fry them.', ['chop', 'shallow-fry']],
    ['Blind-bake for 15 minutes.', ['roast']],
    ['Temper the base to 50 C.', ['heat']],
    ['Temper the mustard seeds in the oil.', ['toast']],
    ['Dry on a rack for 2 days.', ['dehydrate']],
    ['The night before, put the beans in plenty of cold water.', ['soak']],
    ['In the morning pour that water off.', ['drain']],
    ['Slice the tops off the peppers.', ['trim']],
    ['Cover with the olive oil.', ['mix']],
    ['Cover with a lid.', []],
    ['Hold above 63 C.', ['hold']],
  ])('%s', (text, expected) => {
    expect(operations(text)).toEqual(expected)
  })

  it.each([
    // What is put in is taken by what is done next.
    ['Add the carrots and simmer for 10 minutes.', ['simmer']],
    ['Stir in the spices and toast for 2 minutes.', ['toast']],
    ['Flake the tofu into the pan with the peas and fry 4 minutes.', ['shallow-fry']],
    ['Scoop the beans into a blender with the salt. Blend 2 minutes.', ['blend']],
    ['Heat the oil, add the onion and fry until golden.', ['shallow-fry']],
    ['Add the butter, let it foam, and baste for 2 minutes.', ['coat']],
    // What goes on has no verb of its own.
    ['Fry the cutlets 3 minutes. Flip, 2 min.', ['shallow-fry', null]],
    ['Bring to the boil, 6 minutes on low.', ['heat', null]],
    ['Bring to the boil and hold 2 minutes.', ['heat', null]],
    ['Divide the salad between the slices and top with the rest.', ['shape']],
    ['Pour in the wine and let it reduce completely.', ['reduce']],
    ['Stand the peppers upright in a pot and simmer for 30 minutes.', ['simmer']],
  ])('a put-in is no doing of its own: %s', (text, expected) => {
    expect(operations(text)).toEqual(expected)
  })

  it.each([
    'Preheat the oven to 200 C.',
    'Heat a grill pan.',
    'Serve with rice.',
    'Keeps five days in the fridge.',
    'Do not boil it.',
    'Remove the bay leaf.',
    'Grease a loaf tin.',
    'Tip: use day-old bread.',
  ])('nothing is done to food: %s', (text) => {
    expect(operations(text).filter((operation) => operation !== null && operation !== 'mix')).toEqual([])
  })

  it.each([
    // Notes without verbs.
    ['carrot & onion: fine dice, into the pan', ['chop', 'mix']],
    ['under a hot grill, 12 min', ['broil']],
    ['1 tbsp oil, hot pan; half the batter, 4 min', ['shallow-fry']],
    ['fridge 2 h', ['chill']],
    ['24 x 100 g patties', ['mix']],
    ['Fry the tofu → golden, 10 min → set aside', ['shallow-fry']],
  ])('in notes: %s', (text, expected) => {
    expect(operations(text)).toEqual(expected)
  })

  it.each([
    // Told by one who does it.
    ['First we cut the tofu and pat it dry.', ['chop']],
    ['I whip the cream and then I fold it in.', ['whip', 'mix']],
    ["You'll want to soak the beans overnight.", ['soak']],
    ['Make sure to rinse the rice.', ['rinse']],
    ['Having minced the nuts, fry the onion.', ['chop', 'shallow-fry']],
    ['In go the herbs.', ['mix']],
    ['With wet hands make small balls.', ['shape']],
  ])('told in other ways: %s', (text, expected) => {
    expect(operations(text)).toEqual(expected)
  })
})

describe('nouns are no verbs', () => {
  it.each([
    ['Stir in the tomato puree.', ['mix']],
    ['Pour the batter into the tin.', ['mix']],
    ['Toss the toasted walnuts with the grated carrots.', ['mix']],
    ['Spread the roast pepper mix over the toast.', ['shape']],
    ['Whisk the oil into the brine.', ['mix']],
    ['Coat with the dry bread crumbs.', ['coat']],
  ])('%s', (text, expected) => {
    expect(operations(text)).toEqual(expected)
  })
})

describe('words that tell when, why or how', () => {
  it.each([
    ['Simmer until the beans are soft, then drain.', 'Simmer , then drain.'],
    ['Cut in cubes the size of dice.', 'Cut in cubes .'],
    ['Mash without adding water.', 'Mash .'],
    ['Fry, stirring now and then, until brown.', 'Fry , .'],
    ['When this boils pour it over the bread.', 'pour it over the bread.'],
    ['If it is too thick, add some water.', 'add some water.'],
    ['Shred it, discarding the hard seeds.', 'Shred it, .'],
    ['Day 1, morning: soak the nuts.', 'Day 1, morning: soak the nuts.'],
    ['Drain before use.', 'Drain .'],
    ['Chill so that it sets.', 'Chill .'],
    ['Whisk in the milk, which must be cold.', 'Whisk in the milk, .'],
  ])('%s', (text, expected) => {
    expect(bare(text).replace(/\s([.,])/g, '$1')).toBe(expected.replace(/\s([.,])/g, '$1'))
  })

  it('keeps every character in its place', () => {
    const text = 'When the oil is hot, fry the slices (in batches) until golden, turning once.'
    expect(parse(text).bare).toHaveLength(text.length)
  })

  it('marks what holds only where a condition does', () => {
    const [first, second] = doingsIn('If it is dry, add a splash of milk. Shape into balls.')
    expect([first?.isOptional, second?.isOptional]).toEqual([true, false])
  })
})
