import { useRouteError } from 'react-router'
import { Button, buttonClass } from '../ui'

export interface BrokenProps {
  what: string
}

/** What is shown when something of ours fails: what happened, what is safe, what to do. */
export const Broken = ({ what }: BrokenProps) => (
  <main className="grid min-h-[70dvh] place-items-center p-6">
    <div role="alert" className="max-w-[52ch] text-center">
      <h1 className="mt-0 text-2xl">{what}</h1>
      <p className="text-ink-2">
        What you typed and weighed is kept in this browser. Load the page again; if it fails once more, open
        the recovery page: there everything can be saved as a file, and what is damaged is shown.
      </p>
      <Button tone="primary" onClick={() => window.location.reload()}>
        Load the page again
      </Button>{' '}
      <a href="/recovery" className={buttonClass('plain')}>
        Open the recovery page
      </a>
    </div>
  </main>
)

export function RouteError() {
  const error = useRouteError()
  console.error(error)
  return <Broken what="This screen failed." />
}
