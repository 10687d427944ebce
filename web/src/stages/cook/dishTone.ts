/** Tints by which the dishes of a day are told apart; their names stand beside them everywhere. */
const TONES = [
  { bar: 'fill-mung-soft stroke-mung-line', word: 'fill-mung-deep', swatch: 'bg-mung-soft border-mung-line' },
  { bar: 'fill-sky-soft stroke-sky', word: 'fill-sky-deep', swatch: 'bg-sky-soft border-sky' },
  {
    bar: 'fill-turmeric-soft stroke-turmeric',
    word: 'fill-turmeric-deep',
    swatch: 'bg-turmeric-soft border-turmeric',
  },
  {
    bar: 'fill-aubergine-soft stroke-aubergine-line',
    word: 'fill-aubergine',
    swatch: 'bg-aubergine-soft border-aubergine-line',
  },
  { bar: 'fill-adzuki-soft stroke-adzuki', word: 'fill-adzuki-deep', swatch: 'bg-adzuki-soft border-adzuki' },
] as const

export const dishTone = (dish: number): (typeof TONES)[number] =>
  TONES[Math.max(0, dish) % TONES.length] ?? TONES[0]
