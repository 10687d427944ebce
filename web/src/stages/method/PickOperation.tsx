import { type OperationId, OperationId as Operations } from '@frijol/core/model'
import { guidanceOf, SPECS } from '@frijol/core/program'
import { Finder, Sheet } from '../../ui'

const items = [...SPECS]
  .sort((a, b) => a.name.localeCompare(b.name))
  .map(({ id, name }) => ({ id, label: name, words: [id.replaceAll('-', ' ')], detail: guidanceOf(id).cue }))

export interface PickOperationProps {
  isOpen: boolean
  onClose: () => void
  onPick: (operation: OperationId) => void
}

/** The operations, found like foods. */
export const PickOperation = ({ isOpen, onClose, onPick }: PickOperationProps) => (
  <Sheet title="Pick an operation" isOpen={isOpen} onClose={onClose} width="wide">
    <Finder
      label="Operations"
      placeholder="Soak, simmer, press …"
      groups={[{ heading: 'What is done', items }]}
      onPick={(id) => {
        const parsed = Operations.safeParse(id)
        if (parsed.success) onPick(parsed.data)
      }}
    />
  </Sheet>
)
