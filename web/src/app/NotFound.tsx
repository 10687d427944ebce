import { Link } from 'react-router'
import { buttonClass } from '../ui'

export const NotFound = () => (
  <div className="grid min-h-[60dvh] place-items-center p-6 text-center">
    <div>
      <h1 className="mt-0 text-2xl">There is no such page</h1>
      <p className="text-ink-2">The address may be old, or a dish was taken off the shelf.</p>
      <Link to="/" className={buttonClass('primary')}>
        Go to the shelf
      </Link>
    </div>
  </div>
)
