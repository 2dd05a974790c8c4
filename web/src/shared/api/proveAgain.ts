// Before a change that makes proofs stale: somebody says yes first. One question at a time.
import { useSyncExternalStore } from 'react'
import type { Again } from './types'

interface Question {
  readonly again: readonly Again[]
  readonly answer: (yes: boolean) => void
}

let open: Question | undefined
const listeners = new Set<() => void>()

function become(next: Question | undefined) {
  open = next
  listeners.forEach((l) => l())
}

/** Whether the change may go ahead; nothing to prove again needs no question. */
export function mayMakeStale(again: readonly Again[]): Promise<boolean> {
  if (again.length === 0) return Promise.resolve(true)
  open?.answer(false)
  return new Promise((resolve) =>
    become({
      again,
      answer: (yes) => {
        become(undefined)
        resolve(yes)
      },
    }),
  )
}

/** The question that is open, if one is. */
export function useProveAgain(): Question | undefined {
  return useSyncExternalStore(
    (listener) => {
      listeners.add(listener)
      return () => listeners.delete(listener)
    },
    () => open,
  )
}
