import { type OperationId, OperationId as Operations } from '@frijol/core/model'
import { guidanceOf, SPECS } from '@frijol/core/program'
import { Finder, Sheet } from '../../ui'

const items = [...SPECS]
  .sort((a, b) => a.name.localeCompare(b.name))
  .map(({ id, name }) => ({ id, label: name, words: [id.replaceAll('-', ' ')], detail: guidanceOf(id).cue }))

/** What a step is called that changes no mass and is read as no operation. */
export const NO_OPERATION = 'Nothing that changes mass'
const NONE = 'none'

export interface PickOperationProps {
  isOpen: boolean
  onClose: () => void
  /** null where a step may be no operation, and that was picked. */
  onPick: (operation: OperationId | null) => void
  withNone?: boolean
}

/** The operations, found like foods. */
export const PickOperation = ({ isOpen, onClose, onPick, withNone = false }: PickOperationProps) => (
  <Sheet title="Pick an operation" isOpen={isOpen} onClose={onClose} width="wide">
    <Finder
      label="Operations"
      placeholder="Soak, simmer, press …"
      groups={[
        { heading: 'Operations', items },
        ...(withNone ? [{ heading: 'None', items: [{ id: NONE, label: NO_OPERATION }] }] : []),
      ]}
      onPick={(id) => {
        if (id === NONE) onPick(null)
        const parsed = Operations.safeParse(id)
        if (parsed.success) onPick(parsed.data)
      }}
    />
  </Sheet>
)
