import type { RatioReading } from '@frijol/core/model'

/** Marks what rests on foods without figures of their own. */
const PARTLY = '~ '
const STATES: Record<RatioReading['state'], string> = {
  in: 'works well',
  drift: 'works, outside the best range',
  out: 'outside what works',
}

const shownRatio = ({ value, unit, high, known }: RatioReading): string => {
  const shown = Math.abs(value) < high / 200 ? 0 : Number(value.toPrecision(2))
  return `${known === 'partly' ? PARTLY : ''}${shown}${unit === '' ? '' : ` ${unit}`}`
}

/** A ratio as its mark shows it. */
export const ratioMark = (ratio: RatioReading) => ({
  ...ratio,
  isLog: ratio.unit === 'Pa·s',
  shown: shownRatio(ratio),
  words: `${STATES[ratio.state]}${ratio.known === 'partly' ? ', partly known' : ''}`,
  standing: ratio.state,
})
