import { existsSync } from 'node:fs'
import type { Server } from 'node:http'
import { fileURLToPath } from 'node:url'
import { createApp } from './createApp'

const HOST = '127.0.0.1'
const DEFAULT_PORT = 4600
const PORTS_TRIED = 20

const webDir = fileURLToPath(new URL('../../web/dist', import.meta.url))
if (!existsSync(`${webDir}/index.html`)) {
  console.error('The application is not built yet. Run npm run demo, which builds and serves it.')
  process.exit(1)
}

/** Listens on the first free port from `port`; a taken one is skipped, other failures end the start. */
function listen(port: number, triesLeft: number): void {
  const app = createApp({ webDir, opensDemo: process.env['FRIJOL_DEMO'] === '1' })
  const server: Server = app.listen(port, HOST, (error?: Error) => {
    if (error === undefined) {
      console.log(`Frijol is at http://${HOST}:${port}`)
      closeOnSignals(server)
      return
    }
    const isTaken = 'code' in error && error.code === 'EADDRINUSE'
    if (isTaken && triesLeft > 0) listen(port + 1, triesLeft - 1)
    else {
      console.error(`The server could not start on port ${port}: ${error.message}. Set PORT to a free one.`)
      process.exit(1)
    }
  })
}

function closeOnSignals(server: Server): void {
  for (const signal of ['SIGINT', 'SIGTERM'] as const) {
    process.once(signal, () => {
      server.closeAllConnections()
      server.close(() => process.exit(0))
    })
  }
}

const wanted = Number(process.env['PORT'] ?? DEFAULT_PORT)
if (!Number.isInteger(wanted) || wanted < 0 || wanted > 65_535) {
  console.error(`PORT is “${process.env['PORT'] ?? ''}”; give a number from 0 to 65535.`)
  process.exit(1)
}
listen(wanted, PORTS_TRIED)
