import { clsx } from 'clsx'

/** Shape of the vessel: a seed with a flat top, in a box of 200 by 260. */
const SHAPE = 'M6 34 C6 10 60 2 100 2 C140 2 194 10 194 34 C194 150 160 258 100 258 C40 258 6 150 6 34 Z'
const TOP = 2
const BOTTOM = 258
/** Height of the line to fill to, as a share of the vessel. */
const LINE_AT = 0.7

export interface BowlProps {
  massG: number
  targetG: number
  toleranceG: number
  standing: 'below' | 'right' | 'over'
}

/** The bowl that fills to a line while something is weighed. The figure stands beside it. */
export function Bowl({ massG, targetG, toleranceG, standing }: BowlProps) {
  const perGram = ((BOTTOM - TOP) * LINE_AT) / Math.max(targetG, 0.1)
  const y = (grams: number): number => Math.max(TOP, Math.min(BOTTOM, BOTTOM - grams * perGram))
  const band = Math.max(6, y(targetG - toleranceG) - y(targetG + toleranceG))
  return (
    <svg viewBox="0 0 200 260" aria-hidden="true" className="h-full max-h-[340px] w-auto min-w-0">
      <clipPath id="bowl">
        <path d={SHAPE} />
      </clipPath>
      <g clipPath="url(#bowl)">
        <rect x="0" y="0" width="200" height="260" className="fill-husk" />
        <rect
          x="0"
          y={y(massG)}
          width="200"
          height={BOTTOM - y(massG)}
          className={clsx(
            standing === 'below' ? 'fill-aubergine' : standing === 'right' ? 'fill-mung' : 'fill-adzuki',
          )}
        />
        <rect
          x="0"
          y={y(targetG) - band / 2}
          width="200"
          height={band}
          className={standing === 'below' ? 'fill-mung' : 'fill-paper opacity-60'}
        />
      </g>
      <path d={SHAPE} className="fill-none stroke-ink-2" strokeWidth="2.5" />
    </svg>
  )
}
