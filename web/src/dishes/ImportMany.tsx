import { useEffect, useState } from 'react'
import { type ImportedMany, importFiles } from '../store'
import { Button, Sheet } from '../ui'

export interface ImportManyProps {
  /** The files to read; they are read as soon as the sheet is shown. */
  files: readonly File[]
  onClose: () => void
}

type State =
  | { readonly kind: 'reading'; readonly done: number }
  | { readonly kind: 'done'; readonly report: ImportedMany }
  | { readonly kind: 'stopped' }
  | { readonly kind: 'failed' }

/** Many recipes at once: how far it is, a way to stop, and what could not be read and why. */
export function ImportMany({ files, onClose }: ImportManyProps) {
  const [state, setState] = useState<State>({ kind: 'reading', done: 0 })
  const [stop] = useState(() => new AbortController())
  useEffect(() => {
    importFiles(files, {
      signal: stop.signal,
      onProgress: (done) => setState((now) => (now.kind === 'reading' ? { kind: 'reading', done } : now)),
    })
      .then((report) => setState({ kind: 'done', report }))
      .catch((error: unknown) => {
        if (stop.signal.aborted) setState({ kind: 'stopped' })
        else {
          console.error(error)
          setState({ kind: 'failed' })
        }
      })
  }, [files, stop])
  const close = () => {
    stop.abort()
    onClose()
  }
  return (
    <Sheet title="Read recipes" isOpen onClose={close} width="wide">
      {state.kind === 'reading' && (
        <Progress done={state.done} all={files.length} onStop={() => stop.abort()} />
      )}
      {state.kind === 'stopped' && (
        <p role="status" className="m-0 text-sm">
          Stopped. Nothing was added.
        </p>
      )}
      {state.kind === 'failed' && (
        <p role="alert" className="m-0 rounded-lg bg-adzuki-soft p-2.5 text-sm text-adzuki-deep">
          Reading failed; nothing was added, and what is on the shelf is untouched. Try it again, or open the
          files one by one.
        </p>
      )}
      {state.kind === 'done' && <Report report={state.report} onClose={close} />}
    </Sheet>
  )
}

interface ProgressProps {
  done: number
  all: number
  onStop: () => void
}

const Progress = ({ done, all, onStop }: ProgressProps) => (
  <div className="grid gap-3">
    <div
      role="progressbar"
      aria-label="Files read"
      aria-valuemin={0}
      aria-valuemax={all}
      aria-valuenow={done}
      className="h-3 overflow-hidden rounded-full bg-husk"
    >
      <i
        className="block h-full rounded-full bg-aubergine"
        style={{ width: `${(100 * done) / Math.max(1, all)}%` }}
      />
    </div>
    <p className="m-0 flex items-center gap-3 text-sm">
      <span className="flex-1">
        {done} of {all} files are read.
      </span>
      <Button onClick={onStop}>Stop</Button>
    </p>
  </div>
)

function Report({ report: { count, failed }, onClose }: { report: ImportedMany; onClose: () => void }) {
  return (
    <div className="grid gap-3">
      <p role="status" className="m-0 text-sm">
        {count === 1 ? '1 dish is' : `${count} dishes are`} on the shelf.
        {failed.length > 0 &&
          ` ${failed.length} ${failed.length === 1 ? 'file' : 'files'} could not be read:`}
      </p>
      {failed.length > 0 && (
        <table className="w-full border-collapse text-sm">
          <caption className="sr-only">Files that could not be read</caption>
          <tbody>
            {failed.map(({ file, reason }, at) => (
              <tr key={`${file} ${at}`} className="border-t border-line align-top">
                <th scope="row" className="py-1 pr-3 text-left font-semibold break-all">
                  {file}
                </th>
                <td className="py-1 text-ink-2">{reason}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <div className="flex justify-end">
        <Button tone="primary" onClick={onClose}>
          To the shelf
        </Button>
      </div>
    </div>
  )
}
