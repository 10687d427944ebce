import type { AromaNote, AromaOffer, AromaReading, FlavourReading } from '@frijol/core/assess'
import { attributeName } from '@frijol/core/model'
import { Card, CardTitle } from '../../ui'
import { foodWords } from './foodWords'
import { TasteRow } from './TasteRow'

const ATTRIBUTE_STANDINGS = [
  ['missing', 'Missing'],
  ['overdone', 'Too much'],
] as const

/** What there is to do about comes first. */
const NOTE_STANDINGS = [
  ['missing', 'Missing'],
  ['faint', 'Faint'],
  ['strong', 'Strong'],
] as const

const figure = (value: number): string =>
  value >= 10
    ? String(Math.round(value))
    : value >= 1
      ? value.toFixed(1).replace('.0', '')
      : value.toPrecision(1)

function offered({ name, lowG, highG, how, there }: AromaOffer): string {
  const food = foodWords(name)
  if (there === 'enough') return how === 'browned' ? `brown the ${food}` : `stir the ${food} in off the heat`
  const grams = `${figure(lowG)} to ${figure(highG)} g ${there === 'some' ? 'more ' : ''}${food}`
  return how === null ? grams : `${grams}, ${how === 'browned' ? 'browned' : 'off the heat'}`
}

const carriedBy = ({ carriers }: AromaNote): string =>
  carriers
    .slice(0, 3)
    .map(({ name, pct, window }) =>
      window === null ? name : `${foodWords(name)} ${figure(pct)} % (${window[0]} to ${window[1]} %)`,
    )
    .join(', ')

const sentence = (words: string): string =>
  words === '' ? '' : `${words.charAt(0).toUpperCase()}${words.slice(1)}.`

function remedy(note: AromaNote): string {
  const offers = note.offers.map(offered).join('; or ')
  return [carriedBy(note), offers].map(sentence).join(' ').trim()
}

export interface AromaProps {
  notes: FlavourReading['notes']
  aroma: AromaReading | null
}

/** What the nose tells of the original: its attributes, what carries each of its notes, and what would. */
export function Aroma({ notes, aroma }: AromaProps) {
  if (notes.length === 0 && aroma === null) return null
  const carried = aroma?.notes.filter(({ standing }) => standing === 'carried') ?? []
  const carriedAttributes = notes.flatMap(({ id, standing }) =>
    standing === 'carried' ? [attributeName(id)] : [],
  )
  return (
    <Card className="far-row px-3.5 py-3" aria-label="Aroma">
      <CardTitle title="Aroma" aside={aroma === null ? '' : 'doses as % of the mix'} />
      <dl className="m-0 grid gap-1.5 text-sm">
        {ATTRIBUTE_STANDINGS.map(([standing, label]) => {
          const of = notes.filter((note) => note.standing === standing)
          return of.length === 0 ? null : (
            <TasteRow key={standing} label={label} value={of.map(({ id }) => attributeName(id)).join(', ')} />
          )
        })}
        {aroma?.turned.map(({ name, pct, badPct, turns }) => (
          <TasteRow
            key={name}
            label="Turns"
            value={`${foodWords(name)} ${figure(pct)} %`}
            from={`Tastes ${turns} from ${badPct} % on.`}
          />
        ))}
        {NOTE_STANDINGS.flatMap(([standing, label]) =>
          (aroma?.notes ?? [])
            .filter((note) => note.standing === standing)
            .map((note) => <TasteRow key={note.note} label={label} value={note.note} from={remedy(note)} />),
        )}
        {carried.length + carriedAttributes.length > 0 && (
          <TasteRow
            label="Carried"
            value={[...carriedAttributes, ...carried.map(({ note }) => note)].join(', ')}
            from={sentence(carried.map(carriedBy).join('; '))}
          />
        )}
      </dl>
    </Card>
  )
}
