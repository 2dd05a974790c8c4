import type { Stick } from './messages'
import { CENTRE, STICK_AXES, added, centred } from './messages'

/** What can hold the stick off centre. */
export type StickSource = 'keys' | 'surface' | 'lever' | 'pad' | 'kept'

/** One hold: it pushes until it is let go, or until everything was centred. */
export interface Hold {
  /** Does nothing once the hold is over. */
  push(stick: Partial<Stick>): void
  release(): void
}

/**
 * The one place that knows where the stick is: what all sources hold adds up here. Centring ends every hold at
 * once, and a hold that was ended so never comes back by itself: it must be begun anew. A push can be kept without
 * a hand; whoever pushes anew has the stick again.
 */
export function stickStore() {
  const listeners = new Set<(stick: Stick) => void>()
  const keptListeners = new Set<() => void>()
  const held = new Map<StickSource, Partial<Stick>>()
  let generation = 0
  let now = CENTRE

  function tell() {
    const next = added([...held.values()])
    if (STICK_AXES.every((axis) => next[axis] === now[axis])) return
    now = next
    listeners.forEach((listener) => listener(now))
    tellKept()
  }

  let [wasKept, wasPushed] = [false, false]

  /** Only when one of the two changed: a stick that is pushed about draws nothing anew. */
  function tellKept() {
    const [kept, pushed] = [held.has('kept'), !centred(now)]
    if (kept === wasKept && pushed === wasPushed) return
    ;[wasKept, wasPushed] = [kept, pushed]
    keptListeners.forEach((listener) => listener())
  }

  return {
    now: () => now,
    kept: () => held.has('kept'),
    pushed: () => !centred(now),
    listenKept: (listener: () => void) => {
      keptListeners.add(listener)
      return () => keptListeners.delete(listener)
    },
    /** What is pushed now goes on without a hand; what holds it now is over. */
    keep() {
      if (centred(now)) return
      generation++
      held.clear()
      held.set('kept', now)
      tellKept()
    },
    /** Tells every change; the answer ends it. */
    listen(listener: (stick: Stick) => void) {
      listeners.add(listener)
      return () => listeners.delete(listener)
    },
    hold(source: StickSource): Hold {
      const mine = generation
      return {
        push(stick) {
          if (mine !== generation) return
          held.delete('kept')
          held.set(source, stick)
          tell()
        },
        release() {
          if (mine !== generation) return
          held.delete(source)
          tell()
        },
      }
    },
    centre() {
      generation++
      held.clear()
      tell()
    },
    /** Changes when everything was centred: holds begun before are over. */
    generation: () => generation,
  }
}

export type StickStore = ReturnType<typeof stickStore>
