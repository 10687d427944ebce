import { proxy, wrap } from 'comlink'
import type { Jobs } from './jobs'

type Told<K extends keyof Jobs> = Parameters<Jobs[K]>[1]

export interface JobOptions<K extends keyof Jobs = 'importRecipes'> {
  /** Told how far it is, in the job's own terms. */
  readonly onProgress?: Told<K>
  /** Stops it: nothing of it arrives. */
  readonly signal?: AbortSignal
}

type Input<K extends keyof Jobs> = Parameters<Jobs[K]>[0]
type Output<K extends keyof Jobs> = Awaited<ReturnType<Jobs[K]>>

/** Makes a worker; tests put their own in its place. */
export type MakeWorker = () => Worker
const makeWorker: MakeWorker = () => new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' })

/**
 * Runs a job beside the screen, in a worker of its own that ends with it.
 * Rejects with an AbortError when it is stopped, and with what went wrong in it.
 */
export async function runJob<K extends keyof Jobs>(
  name: K,
  input: Input<K>,
  { onProgress = () => undefined, signal }: JobOptions<K> = {},
  make: MakeWorker = makeWorker,
): Promise<Output<K>> {
  signal?.throwIfAborted()
  const worker = make()
  try {
    const jobs = wrap<Jobs>(worker)
    const stopped = new Promise<never>((_resolve, reject) => {
      signal?.addEventListener('abort', () => reject(signal.reason as Error), { once: true })
      worker.addEventListener('error', (event) => reject(new Error(event.message || 'the worker failed')))
    })
    const job = jobs[name] as unknown as (input: Input<K>, report: unknown) => Promise<Output<K>>
    return await Promise.race([job(input, proxy(onProgress)), stopped])
  } finally {
    worker.terminate()
  }
}
