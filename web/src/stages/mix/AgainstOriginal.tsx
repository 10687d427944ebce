import { isInEveryBand, readingOrder } from '@frijol/core/assess'
import {
  type AttributeId,
  attributeName,
  type AttributeReading,
  type Part,
  type PartAssessment,
} from '@frijol/core/model'
import { memo, useState } from 'react'
import { Link } from 'react-router'
import { BesideOriginal, ColourLine, OriginalProfile, ProteinLine, useLikelyOriginals } from '../../original'
import { askWhy, commands, run, type TastedPlace, useDish, useLibrary, useTastedPlaces } from '../../store'
import { BandAndSeed, Button, buttonClass, Card, CardTitle, Folded, Sheet } from '../../ui'

/** Marks what rests on foods without figures of their own. */
const PARTLY = '~ '
const distanceOf = ({ gap, state, value }: AttributeReading): string => {
  if (state === 'none') return value.toFixed(1)
  return gap === 0 ? 'in band' : `${Math.abs(gap).toFixed(1)} ${gap < 0 ? 'low' : 'high'}`
}
const distanceWords = (reading: AttributeReading): string =>
  `${reading.known === 'partly' ? PARTLY : ''}${distanceOf(reading)}`

/** Readings as bands; `isSecond` where they are of the second way in which the part is served. */
export function Bands({
  partId,
  readings,
  isSecond = false,
  places,
}: {
  partId: string
  readings: readonly AttributeReading[]
  isSecond?: boolean
  /** Where attributes were tasted. */
  places?: ReadonlyMap<AttributeId, TastedPlace>
}) {
  return readings.map((attribute) => (
    <BandAndSeed
      key={attribute.id}
      label={attributeName(attribute.id)}
      words={distanceWords(attribute)}
      min={0}
      max={10}
      value={attribute.value}
      spread={attribute.sd}
      band={attribute.target}
      standing={attribute.state}
      tasted={places?.get(attribute.id) ?? null}
      onWhy={() => askWhy({ kind: 'attribute', partId, id: attribute.id, isSecond })}
    />
  ))
}

const Heading = ({ children }: { children: string }) => (
  <h3 className="m-0 mt-2 text-xs font-normal text-ink-2">{children}</h3>
)

/** The part against its original: what counts, then what is off besides, the rest folded. */
export const AgainstOriginal = memo(function AgainstOriginal({
  part,
  reading,
}: {
  part: Part
  reading: PartAssessment
}) {
  const library = useLibrary()
  const [isOpen, setOpen] = useState(false)
  const places = useTastedPlaces(part)
  const original = part.originalId === null ? null : (library.originals.get(part.originalId) ?? null)
  if (reading.attributes.length === 0) return <NothingRead part={part} />
  const { distance } = reading
  const { counts, off, rest } = readingOrder(reading.attributes)
  return (
    <Card className="px-3.5 py-3">
      <CardTitle
        title="Against the original"
        aside={
          distance === null
            ? 'whisker: one sd'
            : isInEveryBand(distance)
              ? 'in every band that counts'
              : `distance ${distance.toFixed(1)}`
        }
      />
      {reading.judged !== null && <p className="m-0 mb-1 text-[13px] text-ink-2">{reading.judged}</p>}
      <Bands partId={part.id} readings={counts} places={places} />
      {off.length > 0 && <Heading>Off besides; does not count in the distance</Heading>}
      <Bands partId={part.id} readings={off} places={places} />
      {rest.length > 0 && (
        <Folded
          className="mt-1.5"
          summary={`${rest.length} more${original === null ? '' : ', in band or near it'}`}
        >
          {() => <Bands partId={part.id} readings={rest} places={places} />}
        </Folded>
      )}
      {[...reading.attributes, ...reading.ratios].some(({ known }) => known === 'partly') && (
        <p className="m-0 mt-1.5 text-xs text-ink-2">
          ~ partly known: some foods here have no figure of their own, so the whisker is wider.
        </p>
      )}
      {places.size > 0 && <p className="m-0 mt-1 text-xs text-ink-2">ring: as your tasters put it last</p>}
      <ColourLine partId={part.id} />
      {original !== null && (
        <>
          <Button className="mt-2" aria-haspopup="dialog" onClick={() => setOpen(true)}>
            Beside {original.name.charAt(0).toLowerCase() + original.name.slice(1)}
          </Button>
          <Sheet title={original.name} isOpen={isOpen} onClose={() => setOpen(false)}>
            <BesideOriginal part={reading} original={original} />
            <ProteinLine partId={part.id} />
            <h3 className="mt-4 mb-1 text-sm">Its bands</h3>
            <OriginalProfile original={original} />
          </Sheet>
        </>
      )}
    </Card>
  )
})

function NothingRead({ part }: { part: Part }) {
  const dish = useDish()
  const likely = useLikelyOriginals(part)
  return (
    <Card className="px-3.5 py-3">
      <CardTitle title="Against the original" />
      <p className="m-0 mb-2 text-sm text-ink-2">
        {part.originalId === null
          ? 'Choose what this part replaces, and its bite, juice and salt are read here while you type.'
          : 'Write the formula, and it is read here while you type.'}
      </p>
      {part.originalId === null && (
        <div className="flex flex-wrap gap-1.5">
          {likely.map((original) => (
            <Button
              key={original.id}
              onClick={() => run(commands.chooseOriginal(part.id, original))}
              aria-label={`Match ${original.name}`}
            >
              {original.name}
            </Button>
          ))}
          <Link to={`/dish/${dish.id}/aim`} className={buttonClass(likely.length === 0 ? 'plain' : 'quiet')}>
            {likely.length === 0 ? 'Choose the original' : 'Another original'}
          </Link>
        </div>
      )}
    </Card>
  )
}
