import type { Step } from '@frijol/core/model'
import { specOf } from '@frijol/core/program'
import { ownWordsOf, wordToTeach } from '@frijol/core/reading'
import { teachWord, useKitchenStore } from '../../store'
import { Button } from '../../ui'

/** What was set by hand against a word is offered to the kitchen, once and for all its recipes. */
export function TeachWord({ step: { text, operation, byHand } }: { step: Step }) {
  const kitchen = useKitchenStore((state) => state.kitchen)
  if (operation === null || !byHand.includes('operation')) return null
  const word = wordToTeach(text, operation, ownWordsOf(kitchen))
  const { name } = specOf(operation)
  if (word === null) return null
  return (
    <p className="m-0 flex flex-wrap items-center gap-2 text-[13px] text-ink-2">
      <Button tone="quiet" className="min-h-7" onClick={() => teachWord(word, operation)}>
        In this kitchen, “{word}” is always {name}
      </Button>
      for recipes read from now on.
    </p>
  )
}
