import { useEffect, useState } from 'react'

/** A value once it has rested for a while: for what is too heavy to follow every key. @param ms how long it rests */
export function useSettled<T>(value: T, ms: number): T {
  const [settled, setSettled] = useState(value)
  useEffect(() => {
    const timer = setTimeout(() => setSettled(value), ms)
    return () => clearTimeout(timer)
  }, [value, ms])
  return settled
}
