import { useSyncExternalStore } from 'react'
import type { Position } from './messages'

/**
 * Where the camera says that it points, ten times a second. It lives outside React's state, so that a moving camera
 * draws its own numbers anew and nothing else.
 */
export function positionStore() {
  const listeners = new Set<() => void>()
  let now: Position | undefined

  return {
    now: () => now,
    listen: (listener: () => void) => {
      listeners.add(listener)
      return () => listeners.delete(listener)
    },
    /** A head at rest reports the same over and over: nothing is drawn anew for that. */
    set(next: Position | undefined) {
      if (same(now, next)) return
      now = next
      listeners.forEach((listener) => listener())
    },
  }
}

export type PositionStore = ReturnType<typeof positionStore>

function same(a: Position | undefined, b: Position | undefined): boolean {
  if (!a || !b) return a === b
  return (Object.keys(a) as (keyof Position)[]).every((k) => a[k] === b[k])
}

export function usePosition(store: PositionStore): Position | undefined {
  return useSyncExternalStore(store.listen, store.now)
}
