import type { StepReading } from '@frijol/core/model'

/** Share of the width that the heaviest batch fills; the rest is for what leaves. */
const BAND = 63
const NOTABLE_G = 0.5

export interface Level {
  readonly massG: number
  readonly waterG: number
}

export interface RibbonProps {
  before: Level
  reading: StepReading
  /** Heaviest state of the part: the width of the whole ribbon. */
  mostG: number
}

/** A side that bends from one place to another on its way down. */
const bend = (from: number, to: number): string => `C ${from} 55 ${to} 45 ${to} 100`
const back = (from: number, to: number): string => `C ${from} 45 ${to} 55 ${to} 0`

/** What left a step or came in, in words. */
function Moves({ reading }: { reading: StepReading }) {
  const lost = reading.lost.filter(({ massG }) => massG >= NOTABLE_G)
  const gained = reading.gained.filter(({ massG }) => massG >= NOTABLE_G)
  return (
    <span className="flex flex-col text-right text-[12.5px] leading-[1.25] text-ink-2">
      {gained.map(({ what, massG }) => (
        <span key={what}>
          +{Math.round(massG)} g {what}
        </span>
      ))}
      {lost.map(({ what, massG }) => (
        <span key={what}>
          −{Math.round(massG)} g {what}
        </span>
      ))}
    </span>
  )
}

/** One step's piece of the mass ribbon: water and solids of the whole part from before it to after it. */
export function Ribbon({ before, reading, mostG }: RibbonProps) {
  const at = (massG: number): number => (mostG > 0 ? (BAND * massG) / mostG : 0)
  const [w0, w1] = [at(before.waterG), at(reading.partWaterG)]
  const [m0, m1] = [at(before.massG), at(reading.partMassG)]
  const lostG = reading.lost.reduce((sum, { massG }) => sum + massG, 0)
  const isSteam = reading.lost.some(({ what, massG }) => what === 'evaporated' && massG > lostG / 2)
  const plume = Math.max(at(lostG), 1.5)
  return (
    <div className="relative h-full min-h-11">
      <svg
        viewBox="0 0 100 100"
        preserveAspectRatio="none"
        className="absolute inset-x-0 top-0 h-[calc(100%+1px)] w-full"
        aria-hidden="true"
      >
        {lostG >= NOTABLE_G && (
          <path
            d={`M ${m0 - 0.2} 0 C ${m0} 30 ${m0} 34 ${m0 + plume + 6} 62 C ${m0 + plume} 66 ${m1 + 2} 58 ${m1} 78 Z`}
            className={isSteam ? 'fill-sky-soft' : 'fill-husk'}
          />
        )}
        <path d={`M 0 0 L ${w0} 0 ${bend(w0, w1)} L 0 100 Z`} className="fill-water" />
        <path
          d={`M ${w0} 0 L ${m0} 0 ${bend(m0, m1)} L ${w1} 100 ${back(w1, w0)} Z`}
          className="fill-solids"
        />
      </svg>
      <div className="absolute inset-y-0 right-1 grid max-w-[38%] content-center pl-1">
        <Moves reading={reading} />
      </div>
    </div>
  )
}
