// Work that takes longer than a moment: shown on the bottom line with how far it is, and called off there.
import { useSyncExternalStore } from 'react'
import { newKey } from './api/newKey'

export interface Work {
  readonly key: string
  readonly label: string
  /** From 0 to 1; nothing while it cannot be told. */
  readonly share?: number
  readonly cancel: () => void
}

let under: readonly Work[] = []
const listeners = new Set<() => void>()

function become(next: readonly Work[]) {
  under = next
  listeners.forEach((l) => l())
}

/** Shows work until it ends, whichever way; hands its end on. */
export async function work<T>(
  label: string,
  begin: (onProgress: (share: number) => void) => { readonly done: Promise<T>; readonly cancel: () => void },
): Promise<T> {
  const key = newKey()
  const begun = begin((share) => become(under.map((w) => (w.key === key ? { ...w, share } : w))))
  become([...under, { key, label, cancel: begun.cancel }])
  try {
    return await begun.done
  } finally {
    become(under.filter((w) => w.key !== key))
  }
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

export const underWay = (): readonly Work[] => under

export const useWork = (): readonly Work[] => useSyncExternalStore(subscribe, underWay)
