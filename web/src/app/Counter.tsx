import type { PortionFigure } from '@frijol/core/assess'
import { clsx } from 'clsx'
import { useMemo } from 'react'
import { askWhy, useAssessment, useDish, useKitchenStore, useProposal } from '../store'

interface FigureProps {
  value: string
  words: string
  isBroken?: boolean
  asked?: PortionFigure
}

function Figure({ value, words, isBroken = false, asked }: FigureProps) {
  const content = (
    <>
      <b
        className={clsx(
          'block font-display text-[19px] leading-tight font-[650]',
          isBroken && 'text-[#ffb9b4]',
        )}
      >
        {value}
        {isBroken && <span className="sr-only"> (over the limit)</span>}
      </b>
      <span className="text-[12.5px] text-on-night-2">{words}</span>
    </>
  )
  if (asked === undefined) return <div className="shrink-0 px-1">{content}</div>
  return (
    <button
      type="button"
      data-why
      title="Why?"
      className="shrink-0 rounded-lg px-1 text-left hover:bg-white/10"
      onClick={() => askWhy({ kind: 'portion', nutrient: asked })}
    >
      {content}
    </button>
  )
}

const grams = (value: number): string => `${Math.round(value)} g`
/** "1754 g → 1719 g" reads better as "1754 → 1719 g". */
const bare = (text: string): string => text.replace(/ (?:g|mg)$/, '')
const bound = (isLower: boolean): string => (isLower ? '≥ ' : '')

/** The dark strip of totals that stays through Mix and Method, each beside its limit. */
export function Counter() {
  const dish = useDish()
  const assessment = useAssessment()
  const currency = useKitchenStore((state) => state.kitchen.currency)
  const proposed = useProposal((state) => state.assessment)
  const { rawMassG, cookedMassG, perPortion: each } = assessment
  /** A figure now, and what it would be by the proposal on the screen. */
  const withThen = (
    now: number,
    then: number | null | undefined,
    shown: (value: number) => string,
  ): string =>
    then === null || then === undefined || shown(then) === shown(now)
      ? shown(now)
      : `${bare(shown(now))} → ${shown(then)}`
  const { sodiumMgMax, proteinGMin, costMax } = dish.aim.limits
  const isLower = (name: string): boolean => each.atLeast.includes(name)
  const loss = rawMassG > 0 ? Math.round(100 * (cookedMassG / rawMassG - 1)) : 0
  const money = useMemo(() => {
    const format = new Intl.NumberFormat('en-GB', { style: 'currency', currency })
    return (value: number): string => format.format(value)
  }, [currency])
  return (
    <section
      aria-label="Totals"
      data-on-night
      className="no-print sticky bottom-0 z-20 flex min-h-16 items-center gap-x-7 overflow-x-auto rounded-t-card bg-night py-2 pr-52 pl-4 text-on-night max-md:bottom-[66px] max-md:gap-x-4 max-md:pr-48"
    >
      <Figure value={withThen(rawMassG, proposed?.rawMassG, grams)} words="raw batch" />
      <Figure
        value={withThen(cookedMassG, proposed?.cookedMassG, grams)}
        words={loss === 0 ? 'cooked' : `cooked, ${loss < 0 ? '−' : '+'}${Math.abs(loss)} %`}
      />
      <Figure
        value={String(Number(dish.aim.portions.toPrecision(3)))}
        words={`portions of ${grams(each.massG)}`}
      />
      {each.proteinG !== null && (
        <Figure
          value={
            bound(isLower('proteinG')) +
            withThen(each.proteinG, proposed?.perPortion.proteinG, (g) => `${g.toFixed(1)} g`)
          }
          words={proteinGMin === null ? 'protein a portion' : `protein, aim ${proteinGMin} g`}
          isBroken={proteinGMin !== null && (proposed?.perPortion.proteinG ?? each.proteinG) < proteinGMin}
          asked="proteinG"
        />
      )}
      {each.sodiumMg !== null && (
        <Figure
          value={
            bound(isLower('sodiumMg')) +
            withThen(each.sodiumMg, proposed?.perPortion.sodiumMg, (mg) => `${Math.round(mg)} mg`)
          }
          words={sodiumMgMax === null ? 'sodium a portion' : `sodium, up to ${sodiumMgMax}`}
          isBroken={sodiumMgMax !== null && (proposed?.perPortion.sodiumMg ?? each.sodiumMg) > sodiumMgMax}
          asked="sodiumMg"
        />
      )}
      {each.cost !== null && (
        <Figure
          value={bound(isLower('cost')) + withThen(each.cost, proposed?.perPortion.cost, money)}
          words={costMax === null ? 'a portion' : `a portion, up to ${money(costMax)}`}
          isBroken={costMax !== null && (proposed?.perPortion.cost ?? each.cost) > costMax}
          asked="cost"
        />
      )}
    </section>
  )
}
