import express, { type Request, type Response, Router } from 'express'
import { z } from 'zod'
import { SimulatedProbe } from './probe'
import { SimulatedScale } from './scale'

const ScaleCommand = z.discriminatedUnion('act', [
  z.strictObject({ act: z.enum(['tare', 'zero', 'stop', 'take-away', 'unplug', 'plug-in']) }),
  z.strictObject({ act: z.literal('pour'), gPerS: z.number().min(-200).max(200) }),
  z.strictObject({ act: z.literal('add'), g: z.number().min(-10_000).max(10_000) }),
  z.strictObject({ act: z.literal('drift'), gPerMin: z.number().min(-50).max(50) }),
])
const channel = z.union([z.literal(1), z.literal(2)])
const ProbeCommand = z.discriminatedUnion('act', [
  z.strictObject({
    act: z.literal('follow'),
    channel,
    curve: z
      .array(z.tuple([z.number().min(0).max(100_000), z.number().min(-40).max(400)]))
      .min(1)
      .max(400),
  }),
  z.strictObject({ act: z.enum(['room', 'unplug', 'plug-in']), channel }),
  z.strictObject({ act: z.literal('speed'), times: z.number().min(0.1).max(600) }),
])

/** Readings a second. */
const RATE = 5
/** Screens that may listen at once. */
const MOST_LISTENERS = 50

/**
 * Simulated stand-ins of a scale and of a probe thermometer: a stream of readings, and commands. The protocol is told in
 * docs/guide/devices.md; a real device would speak it through one more adapter.
 */
export function deviceRoutes(now: () => number = Date.now): Router {
  const scale = new SimulatedScale(now())
  const probe = new SimulatedProbe(now())
  let listeners = 0
  const routes = Router()

  routes.get('/events', (request: Request, response: Response) => {
    if (listeners >= MOST_LISTENERS) {
      response.status(503).json({ error: 'Too many screens listen to the devices. Close some.' })
      return
    }
    listeners += 1
    response.set({
      'Content-Type': 'text/event-stream',
      // Passed on at once: neither kept nor packed together.
      'Cache-Control': 'no-store, no-transform',
    })
    response.flushHeaders()
    const tell = (): void => {
      const at = now()
      response.write(`event: scale\ndata: ${JSON.stringify(scale.read(at))}\n\n`)
      response.write(`event: probe\ndata: ${JSON.stringify({ at, channels: probe.read(at) })}\n\n`)
    }
    tell()
    const timer = setInterval(tell, 1000 / RATE)
    request.on('close', () => {
      clearInterval(timer)
      listeners -= 1
    })
  })

  // Only JSON is taken: a page of another origin cannot send it unasked.
  routes.use(express.json({ limit: '32kb', strict: true }))
  const command =
    <T>(schema: z.ZodType<T>, act: (value: T) => unknown) =>
    (request: Request, response: Response): void => {
      const read = request.is('application/json') ? schema.safeParse(request.body) : null
      if (read?.success !== true) {
        response.status(400).json({
          error: `The device does not understand this: ${read?.error.issues[0]?.message ?? 'send JSON'}. Nothing was done.`,
        })
        return
      }
      response.set('Cache-Control', 'no-store').json(act(read.data))
    }
  routes.post(
    '/scale',
    command(ScaleCommand, (value) => {
      scale.do(now(), value)
      return scale.read(now())
    }),
  )
  routes.post(
    '/probe',
    command(ProbeCommand, (value) => {
      probe.do(now(), value)
      return { at: now(), channels: probe.read(now()) }
    }),
  )
  return routes
}
