// Changes that could not be sent because nobody answered: kept in this browser, sent in their order
// when the server is back. A conflict found then waits here until somebody chooses.
import { useSyncExternalStore } from 'react'
import { newKey } from './newKey'
import type { Changes } from './types'

export interface Kept {
  readonly key: string
  readonly job: number
  readonly changes: Changes
  /** Why it was refused when it was sent at last; what was typed is kept until it is seen. */
  readonly refusal?: string
  /** In a conflict: what stands there now. */
  readonly theirs?: string
}

const STORE = 'jerboa.outbox'

function stored(): readonly Kept[] {
  try {
    return JSON.parse(localStorage.getItem(STORE) ?? '[]') as Kept[]
  } catch {
    return []
  }
}

let kept = stored()
const listeners = new Set<() => void>()

function become(next: readonly Kept[]) {
  kept = next
  localStorage.setItem(STORE, JSON.stringify(next))
  listeners.forEach((l) => l())
}

export const outbox = {
  all: () => kept,
  /** @param key under which it was sent in vain already */
  keep: (job: number, changes: Changes, key = newKey()) => become([...kept, { key, job, changes }]),
  drop: (key: string) => become(kept.filter((k) => k.key !== key)),
  refuse: (key: string, refusal: string, theirs?: string) =>
    become(
      kept.map((k) => (k.key === key ? { ...k, refusal, ...(theirs === undefined ? {} : { theirs }) } : k)),
    ),
  /** The next one to be sent of this job. */
  next: (job: number) => kept.find((k) => k.job === job && k.refusal === undefined),
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

/** What is kept of a job, oldest first. */
export function useOutbox(job: number): readonly Kept[] {
  return useSyncExternalStore(subscribe, outbox.all).filter((k) => k.job === job)
}
