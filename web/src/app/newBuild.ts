import { create } from 'zustand'

interface NewBuild {
  /** Takes the new build: the page loads again. null while there is none. */
  readonly take: (() => void) | null
}

/** A newer build that this browser has fetched and that waits to be taken. */
export const useNewBuild = create<NewBuild>(() => ({ take: null }))

/** Lets the browser keep the whole build, for work without a network. Nothing is ever replaced unasked. */
export async function keepBuild(): Promise<void> {
  if (!import.meta.env.PROD || !('serviceWorker' in navigator)) return
  const { Workbox } = await import('workbox-window')
  const worker = new Workbox('/sw.js')
  worker.addEventListener('waiting', () => {
    useNewBuild.setState({
      take: () => {
        worker.addEventListener('controlling', () => window.location.reload())
        worker.messageSkipWaiting()
      },
    })
  })
  try {
    await worker.register()
  } catch (error) {
    console.error('The build could not be kept for use without a network', error)
  }
}
