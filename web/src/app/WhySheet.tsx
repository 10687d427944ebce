import { askWhy, useExplanation, useWhy } from '../store'
import { Sheet } from '../ui'

/** The answer to "why?" for any figure: the equation, the inputs and their sources, the strongest levers. */
export function WhySheet() {
  const asked = useWhy((state) => state.asked)
  const explanation = useExplanation(asked)
  if (explanation === null) return null
  return (
    <Sheet title={explanation.title} isOpen onClose={() => askWhy(null)}>
      <p className="m-0 rounded-lg bg-oat px-2.5 py-2 text-sm">{explanation.equation}</p>
      <table className="mt-3 w-full border-collapse text-sm">
        <caption className="sr-only">What goes in</caption>
        <tbody>
          {explanation.inputs.map(({ label, value, source }, at) => (
            <tr key={`${label} ${at}`} className="border-t border-line align-top">
              <th scope="row" className="py-1.5 pr-2 text-left font-normal">
                {label}
                <span className="block text-xs text-ink-2">{source}</span>
              </th>
              <td className="py-1.5 text-right font-semibold whitespace-nowrap">{value}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {explanation.levers.length > 0 && (
        <>
          <h3 className="mt-3 mb-1 text-sm">What moves it most</h3>
          <ul className="m-0 list-none ps-0 text-sm">
            {explanation.levers.map(({ label, change, besides = '' }) => (
              <li key={label} className="flex justify-between gap-3 border-t border-line py-1.5">
                <span>
                  {label}
                  {besides !== '' && <span className="block text-xs text-ink-2">besides: {besides}</span>}
                </span>
                <span className="font-semibold">{change}</span>
              </li>
            ))}
          </ul>
        </>
      )}
      <p className="m-0 mt-3 text-xs text-ink-2">{explanation.source}</p>
    </Sheet>
  )
}
