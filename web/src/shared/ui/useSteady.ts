import { useCallback, useLayoutEffect, useRef } from 'react'

/** The same function for ever, that does what the newest one given does: a memoised row need not be drawn anew. */
export function useSteady<A extends readonly unknown[]>(newest: (...args: A) => void): (...args: A) => void {
  const kept = useRef(newest)
  useLayoutEffect(() => {
    kept.current = newest
  })
  return useCallback((...args: A) => kept.current(...args), [])
}
