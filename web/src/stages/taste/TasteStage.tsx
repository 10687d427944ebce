import { Plus } from 'lucide-react'
import { useEffect } from 'react'
import { useSearchParams } from 'react-router'
import { useDish } from '../../store'
import { dropTasting, newTasting, openTasting, useOpenTasting, useTastings } from '../../store/tasting'
import { Button, Card, Empty, HeaderActions, toast } from '../../ui'
import { PlanTasting } from './PlanTasting'
import { Result } from './Result'
import { Running } from './Running'
import { shortName } from './words'

/** Taste: can they tell, what do they miss, how sure are we? */
export function TasteStage() {
  const dish = useDish()
  const [params, setParams] = useSearchParams()
  const read = useTastings(dish.id)
  const open = useOpenTasting((state) => state.value)
  const asked = params.get('tasting')
  const shown = asked ?? read?.tastings[0]?.id ?? null
  useEffect(() => {
    if (shown !== null) void openTasting(shown)
  }, [shown])
  const show = (id: string) =>
    setParams((now) => {
      now.set('tasting', id)
      return now
    })
  const part = dish.parts.find(({ id }) => id === params.get('part')) ?? dish.parts[0]
  const begin = async () => show(await newTasting(dish, part?.id ?? ''))
  const drop = async (id: string) => {
    const putBack = await dropTasting(id)
    setParams((now) => {
      now.delete('tasting')
      return now
    })
    toast('The planned tasting is taken away.', {
      action: { label: 'Put it back', onClick: () => void putBack().then(() => show(id)) },
    })
  }
  if (read === null)
    return (
      <p role="status" className="m-0 text-ink-2">
        Looking for tastings …
      </p>
    )
  const tasting = open?.id === shown ? open : null
  return (
    <div className="grid gap-3 pb-16">
      {read.tastings.length > 0 && (
        <nav aria-label="Tastings of this dish" className="no-print flex flex-wrap items-center gap-1.5">
          {read.tastings.map((one) => {
            const { name, state } = shortName(one)
            return (
              <Button
                key={one.id}
                tone={one.id === shown ? 'primary' : 'plain'}
                aria-current={one.id === shown ? 'true' : undefined}
                className="min-h-8"
                onClick={() => show(one.id)}
              >
                {name} <span className={one.id === shown ? '' : 'font-normal text-ink-2'}>{state}</span>
              </Button>
            )
          })}
        </nav>
      )}
      <HeaderActions>
        <Button tone={read.tastings.length === 0 ? 'primary' : 'plain'} onClick={() => void begin()}>
          <Plus size={16} aria-hidden="true" /> New tasting
        </Button>
      </HeaderActions>
      {read.bad.map(({ id, fault }) => (
        <Card key={id} role="alert" className="px-4 py-3 text-sm">
          A tasting is stored, but damaged ({fault}). It is left as it is; the shelf has it to be saved or
          taken away.
        </Card>
      ))}
      {tasting === null ? (
        shown === null ? (
          <Empty sentence="Nobody has tasted yet. Cook it, then taste it blind beside the original: plan a tasting." />
        ) : (
          <p role="status" className="m-0 text-ink-2">
            Opening the tasting …
          </p>
        )
      ) : tasting.design === null ? (
        <PlanTasting key={tasting.id} tasting={tasting} onDrop={() => void drop(tasting.id)} />
      ) : tasting.closedAt === null ? (
        <Running key={tasting.id} tasting={tasting} />
      ) : (
        <Result key={tasting.id} tasting={tasting} onAgain={show} />
      )}
    </div>
  )
}
