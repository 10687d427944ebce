import { shownIn } from '@frijol/core/ideas'
import type { Assessment } from '@frijol/core/model'
import { useBroughtBack, useDish } from '../store'

/** Told before a proposal is taken: what it brings back that was set aside here, and which trial showed it. */
export function BroughtBack({ proposed }: { proposed: Assessment | null }) {
  const dish = useDish()
  const ideas = useBroughtBack(proposed)
  return ideas.length === 0 ? null : (
    <ul aria-label="Set aside before" className="m-0 mt-1 grid list-none gap-1 p-0">
      {ideas.map((idea) => (
        <li key={idea.id} className="rounded-lg bg-turmeric-soft px-2.5 py-1 text-[13px]">
          It brings back “{idea.words}”, set aside in {shownIn(idea, dish)}: {idea.reason}
        </li>
      ))}
    </ul>
  )
}
