import { attributeName, type PartAssessment } from '@frijol/core/model'
import { ChevronUp } from 'lucide-react'
import { type ReactNode, useState } from 'react'
import { Sheet } from '../../ui'

/** The distance, and the attribute that is furthest from its band. */
function summary({ distance, attributes, ratios }: PartAssessment): string {
  const out = ratios.filter(({ state }) => state === 'out').length
  if (distance === null)
    return out === 0 ? 'no original yet' : `${out} ${out === 1 ? 'ratio' : 'ratios'} outside what works`
  const counting = attributes.filter(({ weight }) => weight > 0)
  const worst = (counting.length > 0 ? counting : [...attributes]).sort(
    (a, b) => Math.abs(b.gap) - Math.abs(a.gap),
  )[0]
  const words =
    worst === undefined || worst.gap === 0
      ? 'all that counts is in band'
      : `${attributeName(worst.id)} ${Math.abs(worst.gap).toFixed(1)} ${worst.gap < 0 ? 'low' : 'high'}`
  return `distance ${distance.toFixed(1)} · ${words}`
}

/** On narrow screens: one line of the readings above the counter, always in reach; a tap opens them all. */
export function ReadingsLine({ reading, children }: { reading: PartAssessment; children: ReactNode }) {
  const [isOpen, setOpen] = useState(false)
  return (
    <>
      <button
        type="button"
        aria-haspopup="dialog"
        onClick={() => setOpen(true)}
        className="no-print fixed inset-x-0 bottom-[126px] z-20 flex min-h-11 items-center gap-2 border-t border-line bg-aubergine-soft px-4 text-left text-sm lg:hidden md:bottom-16 md:left-[92px]"
      >
        <b className="font-display">Readings</b>
        <span className="min-w-0 flex-1 truncate" aria-live="polite">
          {summary(reading)}
        </span>
        <ChevronUp size={16} aria-hidden="true" />
      </button>
      <Sheet title="Readings" isOpen={isOpen} onClose={() => setOpen(false)}>
        {children}
      </Sheet>
    </>
  )
}
