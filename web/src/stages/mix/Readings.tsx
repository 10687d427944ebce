import { isInEveryBand } from '@frijol/core/assess'
import type { Assessment, AttributeReading, Part, PartAssessment, RatioReading } from '@frijol/core/model'
import { Link } from 'react-router'
import { askWhy, useDish } from '../../store'
import { BandAndSeed, buttonClass, Card, CardTitle, Strip, WindowAndTick } from '../../ui'
import { FindingsCard } from '../../findings'
import { Sources } from './Sources'

export interface ReadingsProps {
  part: Part
  reading: PartAssessment
  assessment: Assessment
}

/** Marks what rests on foods without figures of their own. */
const PARTLY = '~ '
const distanceWords = (reading: AttributeReading): string =>
  `${reading.known === 'partly' ? PARTLY : ''}${distanceOf(reading)}`

const distanceOf = ({ gap, state, value }: AttributeReading): string => {
  if (state === 'none') return value.toFixed(1)
  return gap === 0 ? 'in band' : `${Math.abs(gap).toFixed(1)} ${gap < 0 ? 'low' : 'high'}`
}

const STATES: Record<RatioReading['state'], string> = {
  in: 'works well',
  drift: 'works, outside the best range',
  out: 'outside what works',
}
const shownRatio = ({ value, unit, high, known }: RatioReading): string => {
  const shown = Math.abs(value) < high / 200 ? 0 : Number(value.toPrecision(2))
  return `${known === 'partly' ? PARTLY : ''}${shown}${unit === '' ? '' : ` ${unit}`}`
}

/** The readings beside the formula: against the original, water, ratios, findings. */
export function Readings({ part, reading, assessment }: ReadingsProps) {
  return (
    <div className="grid gap-3" aria-label="Readings" role="group">
      <AgainstOriginal part={part} reading={reading} />
      <Card className="px-3.5 py-3">
        <Water reading={reading} />
        {reading.ratios.length > 0 && (
          <div className="mt-2">
            {reading.ratios.map((ratio) => (
              <WindowAndTick
                key={ratio.id}
                {...ratio}
                isLog={ratio.unit === 'Pa·s'}
                shown={shownRatio(ratio)}
                words={`${STATES[ratio.state]}${ratio.known === 'partly' ? ', partly known' : ''}`}
                standing={ratio.state}
                onWhy={() => askWhy({ kind: 'ratio', partId: part.id, id: ratio.id })}
              />
            ))}
          </div>
        )}
      </Card>
      <FindingsCard assessment={assessment} partId={part.id} />
      <Sources />
    </div>
  )
}

function AgainstOriginal({ part, reading }: { part: Part; reading: PartAssessment }) {
  const dish = useDish()
  if (reading.attributes.length === 0) {
    const isJudged = part.family !== null && reading.rawMassG > 0
    return (
      <Card className="px-3.5 py-3">
        <CardTitle title="Against the original" />
        <p className="m-0 mb-2 text-sm text-ink-2">
          {part.originalId === null
            ? 'Choose what this part replaces, and its bite, juice and salt are read here while you type.'
            : isJudged
              ? 'Texture of this family is not predicted yet. Water, salt, nutrition and cost are counted.'
              : 'Write the formula, and it is read here while you type.'}
        </p>
        {part.originalId === null && (
          <Link to={`/dish/${dish.id}/aim`} className={buttonClass('plain')}>
            Choose the original
          </Link>
        )}
      </Card>
    )
  }
  const { distance } = reading
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
      {reading.attributes.map((attribute) => (
        <BandAndSeed
          key={attribute.id}
          label={attribute.id.replaceAll('_', ' ')}
          words={distanceWords(attribute)}
          min={0}
          max={10}
          value={attribute.value}
          spread={attribute.sd}
          band={attribute.target}
          standing={attribute.state}
          onWhy={() => askWhy({ kind: 'attribute', partId: part.id, id: attribute.id })}
        />
      ))}
      {[...reading.attributes, ...reading.ratios].some(({ known }) => known === 'partly') && (
        <p className="m-0 mt-1.5 text-xs text-ink-2">
          ~ partly known: some foods here have no figure of their own, so the whisker is wider.
        </p>
      )}
    </Card>
  )
}

function Water({ reading }: { reading: PartAssessment }) {
  const { totalG, heldG, freeG, cookedOffG } = reading.water
  if (totalG <= 0) return <CardTitle title="Water" aside="none yet" />
  return (
    <>
      <CardTitle title="Water" aside={`of ${Math.round(totalG)} g in the mix`} />
      <Strip
        title="Water"
        parts={[
          { label: 'held', share: heldG / totalG, className: 'bg-sky text-paper' },
          { label: 'cooks off', share: cookedOffG / totalG, className: 'bg-sky-soft text-sky-deep' },
          { label: 'free', share: freeG / totalG, className: 'bg-turmeric-soft text-turmeric-deep' },
        ]}
      />
    </>
  )
}
