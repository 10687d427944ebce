import { type PartKey, storyMarkdown, storyOf, type VineEntry } from '@frijol/core/history'
import type { Dish } from '@frijol/core/model'
import { useMemo } from 'react'
import { useKitchenStore } from '../../store'
import { useStoryTastings } from '../../store/learn'
import { Button, Card, formatDay, HeaderActions, saveFile } from '../../ui'

export interface StoryViewProps {
  dish: Dish
  part: PartKey
  entries: readonly VineEntry[]
  waiting: number
  onClose: () => void
}

/** How the dish came about, to be read, printed or handed on. */
export function StoryView({ dish, part, entries, waiting, onClose }: StoryViewProps) {
  const ideas = useKitchenStore((state) => state.kitchen.ideas)
  const tastings = useStoryTastings(dish.id)
  const story = useMemo(
    () =>
      storyOf({
        dish,
        partId: part.partId,
        entries,
        ideas: ideas.filter(({ dishId }) => dishId === dish.id),
        tastings,
        day: formatDay,
      }),
    [dish, part, entries, ideas, tastings],
  )
  const save = () =>
    saveFile(
      `${dish.name.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, '-')}-story.md`,
      'text/markdown',
      storyMarkdown(story),
    )
  return (
    <Card
      aria-label="The story of this dish"
      className="mx-auto w-full max-w-180 px-7 py-5 max-sm:px-4 print:border-0"
    >
      <HeaderActions>
        <Button onClick={onClose}>Back to the vine</Button>
        <Button onClick={() => window.print()}>Print</Button>
        <Button tone="primary" disabled={waiting > 0} onClick={save}>
          Save as Markdown
        </Button>
      </HeaderActions>
      <h2 className="m-0 mb-2 text-2xl">{story.title}</h2>
      {waiting > 0 && (
        <p role="status" className="m-0 mb-2 text-sm text-ink-2">
          {waiting} trials are still being worked out …
        </p>
      )}
      {story.chapters.map(({ heading, bits }) => (
        <section key={heading} className="mt-4">
          <h3 className="m-0 mb-1 text-[17px]">{heading}</h3>
          {bits.map(({ kind, text }, at) =>
            kind === 'point' ? (
              <p key={at} className="m-0 mb-1 flex gap-2.5 text-[15px]">
                <span aria-hidden="true" className="mt-2 h-2 w-3 shrink-0 -rotate-12 rounded-full bg-mung" />
                {text}
              </p>
            ) : (
              <p key={at} className="m-0 mb-1.5 max-w-prose text-[15px]">
                {text}
              </p>
            ),
          )}
        </section>
      ))}
    </Card>
  )
}
