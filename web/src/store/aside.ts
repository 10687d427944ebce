import { useEffect, useState } from 'react'

/** What a job beside the screen has come to; null while it works. */
export interface Aside<T> {
  readonly value: T | null
  readonly hasFailed: boolean
  /** The job still works: what is shown may become better. */
  readonly isWorking: boolean
}

/** Does work for a question beside the screen; what was found for another question is no answer. */
export function useAside<Q extends object, T>(
  question: Q | null,
  work: (question: Q, signal: AbortSignal, onFirst: (value: T) => void) => Promise<T>,
): Aside<T> {
  const [kept, setKept] = useState<Aside<T> & { question: Q | null }>({
    question: null,
    value: null,
    hasFailed: false,
    isWorking: true,
  })
  useEffect(() => {
    if (question === null) return
    const control = new AbortController()
    const onFirst = (value: T) => {
      if (!control.signal.aborted) setKept({ question, value, hasFailed: false, isWorking: true })
    }
    work(question, control.signal, onFirst).then(
      (value) => {
        if (!control.signal.aborted) setKept({ question, value, hasFailed: false, isWorking: false })
      },
      (error: unknown) => {
        if (control.signal.aborted) return
        console.error(error)
        setKept({ question, value: null, hasFailed: true, isWorking: false })
      },
    )
    return () => control.abort()
  }, [question, work])
  return kept.question === question ? kept : { value: null, hasFailed: false, isWorking: question !== null }
}
