import type { Dish, Result } from '@frijol/core/model'
import { useState } from 'react'
import { importText } from '../store'
import { Button, Field, Sheet, TextArea } from '../ui'

export interface PasteRecipeProps {
  isOpen: boolean
  onClose: () => void
  onOpened: (result: Result<Dish[]>) => void
}

const EXAMPLE =
  'Split-pea fritters\n\n2 cups cooked split peas\n1 courgette, grated\n1/2 tsp salt\n\n1. Squeeze the courgette …'

/** A recipe pasted as text: title, ingredient lines, steps. */
export function PasteRecipe({ isOpen, onClose, onOpened }: PasteRecipeProps) {
  const [text, setText] = useState('')
  const [fault, setFault] = useState<string | null>(null)
  const read = async () => {
    const result = await importText(text)
    if (!result.ok) {
      setFault(result.issues[0]?.message ?? 'The text could not be read.')
      return
    }
    setText('')
    setFault(null)
    onClose()
    onOpened(result)
  }
  return (
    <Sheet
      title="Paste a recipe"
      description="A title, one ingredient a line, then the steps. “For the sauce:” starts a part. Markdown and JSON-LD are read too."
      isOpen={isOpen}
      onClose={onClose}
      width="wide"
    >
      <Field label="Recipe" error={fault}>
        {(props) => (
          <TextArea
            {...props}
            rows={14}
            value={text}
            placeholder={EXAMPLE}
            onChange={(event) => setText(event.target.value)}
          />
        )}
      </Field>
      <div className="mt-3 flex justify-end gap-2">
        <Button onClick={onClose}>Cancel</Button>
        <Button tone="primary" disabled={text.trim() === ''} onClick={() => void read()}>
          Read it
        </Button>
      </div>
    </Sheet>
  )
}
