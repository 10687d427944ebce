import type { Dish, Result } from '@frijol/core/model'
import { type DragEvent, useRef, useState } from 'react'
import { useNavigate } from 'react-router'
import { addBlankDish, importFile, isRecipeFile, openDemoKitchen, useShelf } from '../store'
import { Button, Empty } from '../ui'
import { ShelfPlace } from './DishCard'
import { ImportMany } from './ImportMany'
import { PasteRecipe } from './PasteRecipe'

const ACCEPTED =
  '.json,.jsonld,.html,.htm,.md,.markdown,.txt,application/json,application/ld+json,text/html,text/markdown,text/plain'

/** The shelf: which dishes are in work, and the next act for each. */
export function Shelf() {
  const ids = useShelf()
  const navigate = useNavigate()
  const [fault, setFault] = useState<string | null>(null)
  const [isPasting, setPasting] = useState(false)
  const [many, setMany] = useState<readonly File[] | null>(null)
  const file = useRef<HTMLInputElement>(null)
  const folder = useRef<HTMLInputElement>(null)

  const opened = (result: Result<Dish[]>) => {
    if (!result.ok) {
      setFault(result.issues[0]?.message ?? 'The recipe could not be read. Nothing was changed.')
      return
    }
    setFault(null)
    const [first] = result.value
    // A recipe with a method first shows how it was understood.
    if (first !== undefined)
      void navigate(`/dish/${first.id}/${first.written.length > 0 ? 'method?as=written' : 'mix'}`)
  }
  /** One file is opened; many are read beside the screen, those that are recipes by their names. */
  const openFiles = async (chosen: readonly File[]) => {
    const [first, ...more] = chosen
    if (first === undefined) return
    if (more.length === 0) {
      opened(await importFile(first))
      return
    }
    const recipes = chosen.filter(({ name }) => isRecipeFile(name))
    if (recipes.length === 0) setFault('None of these files is a recipe by its name. Nothing was changed.')
    else setMany(recipes)
  }
  const drop = (event: DragEvent) => {
    event.preventDefault()
    void openFiles([...event.dataTransfer.files])
  }
  const start = async () => void navigate(`/dish/${await addBlankDish('New dish')}/mix`)

  return (
    <div
      className="min-h-dvh py-5 pr-5 pl-1.5 max-md:px-3"
      onDragOver={(event) => event.preventDefault()}
      onDrop={drop}
    >
      <header className="mb-4 flex flex-wrap items-end gap-3">
        <div>
          <div className="text-sm text-ink-2">What is in work</div>
          <h1 className="m-0 text-[26px] leading-tight">Shelf</h1>
        </div>
        <div className="ml-auto flex flex-wrap gap-2">
          <Button onClick={() => setPasting(true)}>Paste a recipe</Button>
          <Button onClick={() => file.current?.click()}>Open a file</Button>
          <input
            ref={file}
            type="file"
            multiple
            accept={ACCEPTED}
            aria-label="Recipe file"
            className="sr-only"
            tabIndex={-1}
            onChange={(event) => {
              void openFiles([...(event.target.files ?? [])])
              event.target.value = ''
            }}
          />
          <Button onClick={() => folder.current?.click()}>Open a folder</Button>
          <input
            ref={folder}
            type="file"
            multiple
            webkitdirectory=""
            aria-label="Recipe folder"
            className="sr-only"
            tabIndex={-1}
            onChange={(event) => {
              void openFiles([...(event.target.files ?? [])])
              event.target.value = ''
            }}
          />
          <Button tone="primary" onClick={() => void start()}>
            Start a dish
          </Button>
        </div>
      </header>
      {fault !== null && (
        <div
          role="alert"
          className="mb-4 flex items-start gap-3 rounded-card border border-adzuki bg-adzuki-soft p-3 text-sm text-adzuki-deep"
        >
          <p className="m-0 flex-1">{fault}</p>
          <Button tone="quiet" onClick={() => setFault(null)}>
            Close
          </Button>
        </div>
      )}
      {ids !== null && ids.length === 0 && (
        <Empty sentence="Nothing is in work yet. Write a formula, open a recipe that you have as a file, or look around in the demo kitchen.">
          <div className="flex flex-wrap justify-center gap-2">
            <Button tone="primary" onClick={() => void start()}>
              Start a dish
            </Button>
            <Button onClick={() => void openDemoKitchen()}>Open the demo kitchen</Button>
          </div>
        </Empty>
      )}
      <ul className="m-0 grid list-none grid-cols-[repeat(auto-fill,minmax(min(340px,100%),1fr))] gap-4 ps-0">
        {(ids ?? []).map((id) => (
          <ShelfPlace key={id} id={id} />
        ))}
      </ul>
      {ids !== null && ids.length > 0 && (
        <p className="mt-5 text-sm text-ink-2">
          Drop a recipe anywhere here: schema.org JSON-LD, a web page that holds one, Markdown or plain text,
          up to 20 MB.
        </p>
      )}
      {many !== null && <ImportMany files={many} onClose={() => setMany(null)} />}
      <PasteRecipe isOpen={isPasting} onClose={() => setPasting(false)} onOpened={opened} />
    </div>
  )
}
