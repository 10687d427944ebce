import {
  compare,
  type ComparedFigure,
  type ComparedLine,
  type ComparedStep,
  type Row,
  type Worked,
} from '@frijol/core/assess'
import { clsx } from 'clsx'
import { type ReactNode, useMemo, useState } from 'react'

export interface CompareViewProps {
  /** Two to four, in the order of the columns; the list is kept by the caller. */
  columns: readonly { readonly name: string; readonly worked: Worked }[]
  /** What else is known of each, a row each: notes, what was tasted. */
  more?: readonly { readonly label: string; readonly values: readonly ReactNode[] }[]
}

/** Dishes or trials side by side: what differs first, the rest on demand. */
export function CompareView({ columns, more = [] }: CompareViewProps) {
  const { lines, steps, readings } = useMemo(() => compare(columns.map(({ worked }) => worked)), [columns])
  const names = columns.map(({ name }) => name)
  const hasParts = new Set([...lines, ...steps, ...readings].map(({ part }) => part)).size > 2
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-4">
      <Rows
        title="Formula"
        rows={lines}
        names={names}
        hasParts={hasParts}
        show={(line) => <Line line={line} />}
        change={massChange}
      />
      <Rows
        title="Steps"
        rows={steps}
        names={names}
        hasParts={hasParts}
        show={(step) => <Step step={step} />}
      />
      <Rows
        title="Readings"
        rows={readings}
        names={names}
        hasParts={hasParts}
        show={(figure) => <Figure figure={figure} />}
        change={figureChange}
      />
      {more.length > 0 && <Record names={names} rows={more} />}
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

/** What is wider than a narrow screen moves sideways in its place, by touch or by keys. */
const Wide = ({ label, children }: { label: string; children: ReactNode }) => (
  <div className="overflow-x-auto" role="group" tabIndex={0} aria-label={`${label}, table`}>
    {children}
  </div>
)

/** Widths of the columns, by how many there are beside the label. */
const Columns = ({ count, hasChange }: { count: number; hasChange: boolean }) => (
  <colgroup>
    <col style={{ width: count > 2 ? '18%' : '24%' }} />
    {Array.from({ length: count }, (_, at) => (
      <col key={at} />
    ))}
    {hasChange && <col style={{ width: '12%' }} />}
  </colgroup>
)

const Head = ({ names, last }: { names: readonly string[]; last: string | null }) => (
  <thead>
    <tr className="text-left text-[13px] text-ink-2">
      <td />
      {names.map((name, at) => (
        <th key={at} scope="col" className="pr-3 font-semibold">
          {name}
        </th>
      ))}
      {last !== null && (
        <th scope="col" className="text-right font-semibold">
          {last}
        </th>
      )}
    </tr>
  </thead>
)

interface RowsProps<T> {
  title: string
  rows: readonly Row<T>[]
  names: readonly string[]
  hasParts: boolean
  show: (value: T) => ReactNode
  /** Of two columns, what the second does to the first. */
  change?: (left: T | null, right: T | null) => string
}

function Rows<T>({ title, rows, names, hasParts, show, change }: RowsProps<T>) {
  const [isWhole, setWhole] = useState(false)
  const different = rows.filter(({ isSame }) => !isSame)
  const same = rows.length - different.length
  const shown = isWhole ? rows : different
  const told = names.length === 2 ? change : undefined
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
        <Wide label={title}>
          <table className="w-full min-w-130 table-fixed border-collapse text-sm">
            <Columns count={names.length} hasChange={told !== undefined} />
            <Head names={names} last={told === undefined ? null : 'change'} />
            <tbody>
              {shown.map(({ part, label, values, isSame }, at) => (
                <tr
                  key={`${part ?? ''} ${label} ${at}`}
                  className={clsx('border-t border-line/70 align-top', isSame && 'text-ink-2')}
                >
                  <th scope="row" className="py-1 pr-3 text-left font-normal">
                    {label}
                    {hasParts && part !== null && <span className="block text-xs text-ink-2">{part}</span>}
                  </th>
                  {values.map((value, column) => (
                    <td key={column} className="py-1 pr-3">
                      {value === null ? '–' : show(value)}
                    </td>
                  ))}
                  {told !== undefined && (
                    <td className="py-1 text-right font-semibold whitespace-nowrap">
                      {isSame ? '' : told(values[0] ?? null, values[1] ?? null)}
                    </td>
                  )}
                </tr>
              ))}
            </tbody>
          </table>
        </Wide>
      )}
    </section>
  )
}

/** What was said and done, beside what was computed. */
const Record = ({
  names,
  rows,
}: {
  names: readonly string[]
  rows: NonNullable<CompareViewProps['more']>
}) => (
  <section aria-label="Record compared">
    <h3 className="m-0 mb-1 text-[15px]">Record</h3>
    <Wide label="Record">
      <table className="w-full min-w-130 table-fixed border-collapse text-sm">
        <Columns count={names.length} hasChange={false} />
        <Head names={names} last={null} />
        <tbody>
          {rows.map(({ label, values }) => (
            <tr key={label} className="border-t border-line/70 align-top">
              <th scope="row" className="py-1 pr-3 text-left font-normal">
                {label}
              </th>
              {values.map((value, at) => (
                <td key={at} className="py-1 pr-3">
                  {value === null || value === '' ? '–' : value}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </Wide>
  </section>
)
