import {
  compare,
  type ComparedFigure,
  type ComparedLine,
  type ComparedStep,
  type Pair,
  type Worked,
} from '@frijol/core/assess'
import { clsx } from 'clsx'
import { type ReactNode, useMemo, useState } from 'react'

export interface CompareViewProps {
  left: Worked
  right: Worked
  leftName: string
  rightName: string
}

/** Two dishes or trials side by side: what differs first, the rest on demand. */
export function CompareView({ left, right, leftName, rightName }: CompareViewProps) {
  const { lines, steps, readings } = useMemo(() => compare(left, right), [left, right])
  const hasParts = new Set([...lines, ...steps, ...readings].map(({ part }) => part)).size > 2
  const names = { leftName, rightName, hasParts }
  return (
    <div className="grid gap-4">
      <Rows
        title="Formula"
        pairs={lines}
        {...names}
        show={(line) => <Line line={line} />}
        change={massChange}
      />
      <Rows title="Steps" pairs={steps} {...names} show={(step) => <Step step={step} />} />
      <Rows
        title="Readings"
        pairs={readings}
        {...names}
        show={(figure) => <Figure figure={figure} />}
        change={figureChange}
      />
    </div>
  )
}

const shortNumber = (value: number): string => String(Number(value.toPrecision(3)))
const signed = (value: number): string => `${value > 0 ? '+' : '−'}${shortNumber(Math.abs(value))}`

const massChange = (left: ComparedLine | null, right: ComparedLine | null): string => {
  if (left === null) return 'new'
  if (right === null) return 'gone'
  return left.massG === null || right.massG === null ? '' : `${signed(right.massG - left.massG)} g`
}

const figureChange = (left: ComparedFigure | null, right: ComparedFigure | null): string => {
  if (left === null || right === null) return ''
  const change = right.value - left.value
  // A change that is smaller than what is not known of it is no finding.
  const isSure = Math.abs(change) > Math.hypot(left.sd, right.sd)
  return `${signed(change)}${left.unit === '' ? '' : ` ${left.unit}`}${isSure ? '' : ' ±'}`
}

const Line = ({ line: { text, massG } }: { line: ComparedLine }) => (
  <>
    <b>{massG === null ? '–' : `${shortNumber(massG)} g`}</b> <span className="text-ink-2">{text}</span>
  </>
)

const Step = ({ step: { text, massG } }: { step: ComparedStep }) => (
  <>
    {text} {massG !== null && <span className="text-ink-2">→ {Math.round(massG)} g</span>}
  </>
)

const Figure = ({ figure: { value, unit, gap } }: { figure: ComparedFigure }) => (
  <>
    <b>{shortNumber(value)}</b> {unit}{' '}
    {gap !== null && (
      <span className="text-ink-2">
        {gap === 0 ? 'in band' : `${Math.abs(gap).toFixed(1)} ${gap < 0 ? 'low' : 'high'}`}
      </span>
    )}
  </>
)

interface RowsProps<T> {
  title: string
  pairs: readonly Pair<T>[]
  leftName: string
  rightName: string
  hasParts: boolean
  show: (value: T) => ReactNode
  change?: (left: T | null, right: T | null) => string
}

function Rows<T>({ title, pairs, leftName, rightName, hasParts, show, change }: RowsProps<T>) {
  const [isWhole, setWhole] = useState(false)
  const different = pairs.filter(({ isSame }) => !isSame)
  const same = pairs.length - different.length
  const shown = isWhole ? pairs : different
  return (
    <section aria-label={`${title} compared`}>
      <h3 className="m-0 mb-1 flex items-baseline gap-3 text-[15px]">
        {title}
        <span className="text-[13px] font-normal text-ink-2">
          {different.length === 0 ? 'nothing differs' : `${different.length} differ`}
          {same > 0 && `, ${same} alike`}
        </span>
        {same > 0 && (
          <button
            type="button"
            aria-expanded={isWhole}
            className="min-h-6 rounded px-1 text-[13px] font-normal underline underline-offset-2"
            onClick={() => setWhole(!isWhole)}
          >
            {isWhole ? 'differences only' : 'show all'}
          </button>
        )}
      </h3>
      {shown.length > 0 && (
        <table className="w-full border-collapse text-sm">
          <thead>
            <tr className="text-left text-[13px] text-ink-2">
              <td className="w-[24%]" />
              <th scope="col" className="w-[32%] pr-3 font-semibold">
                {leftName}
              </th>
              <th scope="col" className="w-[32%] pr-3 font-semibold">
                {rightName}
              </th>
              <th scope="col" className="text-right font-semibold">
                {change === undefined ? '' : 'change'}
              </th>
            </tr>
          </thead>
          <tbody>
            {shown.map((pair, at) => (
              <tr
                key={`${pair.part ?? ''} ${pair.label} ${at}`}
                className={clsx('border-t border-line/70 align-top', pair.isSame && 'text-ink-2')}
              >
                <th scope="row" className="py-1 pr-3 text-left font-normal">
                  {pair.label}
                  {hasParts && pair.part !== null && (
                    <span className="block text-xs text-ink-2">{pair.part}</span>
                  )}
                </th>
                <td className="py-1 pr-3">{pair.left === null ? '–' : show(pair.left)}</td>
                <td className="py-1 pr-3">{pair.right === null ? '–' : show(pair.right)}</td>
                <td className="py-1 text-right font-semibold whitespace-nowrap">
                  {pair.isSame || change === undefined ? '' : change(pair.left, pair.right)}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  )
}
