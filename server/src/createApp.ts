import { join } from 'node:path'
import compression from 'compression'
import express, { type ErrorRequestHandler, type Express } from 'express'
import helmet from 'helmet'
import { deviceRoutes } from './devices/routes'

export interface AppOptions {
  /** Folder of the built web application. */
  readonly webDir: string
  /** True where the first start opens the demo kitchen. */
  readonly opensDemo: boolean
}

const A_YEAR_S = 31_536_000

/** JSON without a stack trace; the trace goes to the server's own log. */
const errors: ErrorRequestHandler = (error: unknown, _request, response, next) => {
  if (response.headersSent) {
    next(error)
    return
  }
  const stated = typeof error === 'object' && error !== null && 'status' in error ? Number(error.status) : 500
  const status = stated >= 400 && stated < 600 ? stated : 500
  if (status >= 500) console.error(error)
  response.status(status).json({
    error:
      status >= 500
        ? 'The server failed; nothing of yours is stored on it.'
        : 'The request was not understood.',
  })
}

/** The application server: static files under a strict Content-Security-Policy, a health check, and stand-ins of devices. */
export function createApp({ webDir, opensDemo }: AppOptions): Express {
  const app = express()
  app.disable('x-powered-by')
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'self'"],
          scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
          workerSrc: ["'self'"],
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          fontSrc: ["'self'"],
          connectSrc: ["'self'"],
          objectSrc: ["'none'"],
          baseUri: ["'self'"],
          formAction: ["'self'"],
          frameAncestors: ["'none'"],
        },
      },
      strictTransportSecurity: false,
      referrerPolicy: { policy: 'no-referrer' },
    }),
  )
  app.use(compression())
  app.get('/api/health', (_request, response) => {
    response.set('Cache-Control', 'no-store').json({ status: 'ok', opensDemo })
  })
  app.use('/api/devices', deviceRoutes())
  app.use('/api', (_request, response) => {
    response.status(404).json({ error: 'There is no such address.' })
  })
  app.use(
    '/assets',
    express.static(join(webDir, 'assets'), { immutable: true, maxAge: A_YEAR_S * 1000, fallthrough: false }),
  )
  app.use(
    express.static(webDir, { setHeaders: (response) => response.setHeader('Cache-Control', 'no-cache') }),
  )
  app.get('/{*splat}', (_request, response) => {
    response.set('Cache-Control', 'no-cache').sendFile(join(webDir, 'index.html'))
  })
  app.use((_request, response) => {
    response.status(405).json({ error: 'Only reading is possible here.' })
  })
  app.use(errors)
  return app
}
