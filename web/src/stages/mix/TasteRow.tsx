export interface TasteRowProps {
  label: string
  value: string
  /** Where it comes from, or what to do about it. */
  from?: string
}

/** A line of a card about taste: what, how it stands, and why. */
export function TasteRow({ label, value, from }: TasteRowProps) {
  return (
    <div className="grid grid-cols-[96px_1fr] gap-x-2">
      <dt className="text-ink-2">{label}</dt>
      <dd className="m-0">
        <span className="font-semibold first-letter:uppercase">{value}</span>
        {from !== undefined && from !== '' && <span className="block text-xs text-ink-2">{from}</span>}
      </dd>
    </div>
  )
}
