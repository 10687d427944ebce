import { type ReactNode, useEffect } from 'react'
import { useNavigate } from 'react-router'
import {
  flush,
  flushKitchen,
  keepMineAsNew,
  unsavedFile,
  settleClash,
  useClashPlaces,
  useKitchenDocument,
  useKitchenStore,
  useOpenDish,
  useRefusal,
} from '../store'
import { useNewBuild } from './newBuild'
import { Button, saveFile, toast } from '../ui'

/** What stands between the work and its being kept, on every screen, with the ways out. */
export function Troubles() {
  const isInMemory = useKitchenStore((state) => state.storage === 'memory')
  const dishSave = useOpenDish((state) => state.save)
  const dishFault = useOpenDish((state) => state.fault)
  const kitchenSave = useKitchenDocument((state) => state.save)
  const kitchenFault = useKitchenDocument((state) => state.fault)
  const isKitchenBad = useKitchenDocument((state) => state.missing === 'bad')
  const takeNewBuild = useNewBuild((state) => state.take)
  useRefusals()
  return (
    <>
      {takeNewBuild !== null && (
        <Trouble tone="turmeric" role="status">
          <p className="m-0 flex-1">A newer version of Frijol is here. It is taken when you say so.</p>
          <Button onClick={takeNewBuild}>Load it now</Button>
        </Trouble>
      )}
      {isInMemory && (
        <Trouble tone="turmeric">
          <p className="m-0 flex-1">
            This browser does not let Frijol keep anything. All works, but what you do here is gone when this
            tab closes: save a backup on the Kitchen page before.
          </p>
        </Trouble>
      )}
      {isKitchenBad && (
        <Trouble tone="adzuki">
          <p className="m-0 flex-1">
            The kitchen’s settings and prices are stored, but damaged. The usual ones are used meanwhile, and
            nothing is written over yours.
          </p>
          <LinkButton to="/recovery">Look at what is damaged</LinkButton>
        </Trouble>
      )}
      {dishSave === 'refused' && (
        <Refused what="This dish is not saved." fault={dishFault} onRetry={() => void flush()} />
      )}
      {kitchenSave === 'refused' && (
        <Refused
          what="The kitchen’s change is not saved."
          fault={kitchenFault}
          onRetry={() => void flushKitchen()}
        />
      )}
      {dishSave === 'gone' && <Gone />}
      {dishSave === 'clash' && <Clash />}
    </>
  )
}

/** A change that does not fit is told once, where all messages are. */
function useRefusals(): void {
  useEffect(
    () =>
      useRefusal.subscribe((refused) => {
        if (refused !== null) toast(refused.words)
      }),
    [],
  )
}

const TONES = {
  turmeric: 'border-turmeric bg-turmeric-soft',
  adzuki: 'border-adzuki bg-adzuki-soft text-adzuki-deep',
} as const

interface TroubleProps {
  tone: keyof typeof TONES
  /** `alert` for what endangers work, `status` for news. */
  role?: 'alert' | 'status'
  children: ReactNode
}

const Trouble = ({ tone, role = 'alert', children }: TroubleProps) => (
  <div
    role={role}
    className={`no-print mt-3 mr-5 ml-1.5 flex flex-wrap items-center gap-3 rounded-card border p-3 text-sm max-md:mx-3 ${TONES[tone]}`}
  >
    {children}
  </div>
)

function LinkButton({ to, children }: { to: string; children: ReactNode }) {
  const navigate = useNavigate()
  return <Button onClick={() => void navigate(to)}>{children}</Button>
}

interface RefusedProps {
  what: string
  fault: string | null
  onRetry: () => void
}

const Refused = ({ what, fault, onRetry }: RefusedProps) => (
  <Trouble tone="adzuki">
    <p className="m-0 flex-1">
      <strong>{what}</strong> {fault}
    </p>
    <Button onClick={onRetry}>Try again</Button>
    <Button
      onClick={() =>
        void unsavedFile().then((text) => saveFile('frijol-unsaved.json', 'application/json', text))
      }
    >
      Save a file
    </Button>
  </Trouble>
)

function Gone() {
  const navigate = useNavigate()
  const keep = async () => {
    const id = await keepMineAsNew()
    if (id !== null) void navigate(`/dish/${id}/mix`)
  }
  return (
    <Trouble tone="turmeric">
      <p className="m-0 flex-1">
        This dish was taken off the shelf in another tab. What you see here is no longer kept.
      </p>
      <Button tone="primary" onClick={() => void keep()}>
        Keep mine as a new dish
      </Button>
      <LinkButton to="/">Go to the shelf</LinkButton>
    </Trouble>
  )
}

function Clash() {
  const places = useClashPlaces()
  const keepBoth = async () => {
    await settleClash('both')
    toast('This tab’s version is on the shelf as a dish of its own.')
  }
  return (
    <Trouble tone="turmeric">
      <div className="min-w-0 flex-1 basis-80">
        <p className="m-0">
          This dish was changed in another tab at the same places. Both versions are safe until you choose;
          all other changes of both are joined.
        </p>
        <table className="mt-1.5 border-collapse text-[13px]">
          <thead>
            <tr className="text-left">
              <th scope="col" className="pr-3 font-semibold">
                Place
              </th>
              <th scope="col" className="pr-3 font-semibold">
                Here
              </th>
              <th scope="col" className="font-semibold">
                In the other tab
              </th>
            </tr>
          </thead>
          <tbody>
            {places.slice(0, 6).map(({ place, mine, theirs }, at) => (
              <tr key={at} className="border-t border-turmeric/40 align-top">
                <th scope="row" className="py-0.5 pr-3 text-left font-normal">
                  {place}
                </th>
                <td className="max-w-[34ch] truncate py-0.5 pr-3">{mine}</td>
                <td className="max-w-[34ch] truncate py-0.5">{theirs}</td>
              </tr>
            ))}
          </tbody>
        </table>
        {places.length > 6 && <p className="m-0 mt-1 text-[13px]">and {places.length - 6} more places</p>}
      </div>
      <div className="flex flex-wrap gap-2">
        <Button onClick={() => void settleClash('mine')}>Keep this tab’s</Button>
        <Button onClick={() => void settleClash('theirs')}>Take the other’s</Button>
        <Button onClick={() => void keepBoth()}>Keep both</Button>
      </div>
    </Trouble>
  )
}
