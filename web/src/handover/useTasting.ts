import type { Serving, Tasting, TastingAnswer } from '@frijol/core/model'
import { asksOf, picksOf } from '@frijol/core/sensory'
import { useEffect } from 'react'
import { openTasting, useOpenTasting } from '../store/tasting'

/** Opens the tasting of the address. */
export function useTastingOf(tastingId: string): { tasting: Tasting | null; missing: string | null } {
  const open = useOpenTasting((state) => state.value)
  const missing = useOpenTasting((state) => state.missing)
  useEffect(() => {
    void openTasting(tastingId)
  }, [tastingId])
  return { tasting: open?.id === tastingId ? open : null, missing }
}

/** One thing that a taster does: a serving, or one glass of it. */
export interface Page {
  readonly serving: Serving
  /** The glass that is asked about alone; null = the serving as a whole. */
  readonly glass: number | null
}

/** The pages of one taster, in order. Scores are asked glass by glass, so that none is weighed against the next. */
export function pagesOf({ settings, design }: Tasting, tasterId: string): Page[] {
  const isByGlass = picksOf(settings) === 0 && asksOf(settings)[0] !== 'rank'
  return (design?.servings ?? [])
    .filter((serving) => serving.tasterId === tasterId)
    .flatMap((serving): Page[] =>
      isByGlass && serving.round > 0
        ? serving.glasses.map((_, glass) => ({ serving, glass }))
        : [{ serving, glass: null }],
    )
}

/** Whether a page has been left: there is no way back to it. */
export function isLeft({ serving, glass }: Page, answers: ReadonlyMap<string, TastingAnswer>): boolean {
  const answer = answers.get(serving.id)
  if (answer === undefined) return false
  if (answer.isWhole || glass === null) return true
  const code = serving.glasses[glass]?.code
  return answer.marks.some((mark) => mark.code === code)
}

/** Where a taster goes on; null when all is done. */
export function nextPage(tasting: Tasting, tasterId: string): { page: Page; at: number; of: number } | null {
  const by = new Map(tasting.answers.map((answer) => [answer.servingId, answer]))
  const pages = pagesOf(tasting, tasterId)
  const at = pages.findIndex((page) => !isLeft(page, by))
  const page = pages[at]
  return page === undefined ? null : { page, at, of: pages.length }
}
