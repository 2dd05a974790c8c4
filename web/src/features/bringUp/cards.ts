import type { BringUp, Step } from '../../shared/api/types'

export type CardState = 'done' | 'now' | 'waits' | 'begun' | 'ahead'

/** What is worked as one: a device with all its steps, or one move of the laptop. */
export interface Card {
  readonly key: string
  readonly name: string
  readonly steps: readonly Step[]
  readonly state: CardState
  /** Seconds of the world's time that its boot still takes, and the whole of it. */
  readonly left: number
  readonly total: number
}

const LAPTOP: Readonly<Record<string, string>> = {
  'hop-out': 'Laptop out',
  'hop-home': 'Laptop home',
  alias: 'Laptop, one more',
}

/** The cards of a bring-up, in the order in which they are begun. */
export function cardsOf(view: BringUp): readonly Card[] {
  const groups = new Map<string, Step[]>()
  for (const step of view.steps) {
    const key = step.deviceId === null ? `step ${step.number}` : `device ${step.deviceId}`
    const there = groups.get(key)
    if (there) there.push(step)
    else groups.set(key, [step])
  }
  return [...groups].map(([key, steps]) => card(view, key, steps))
}

function card(view: BringUp, key: string, steps: readonly Step[]): Card {
  const first = steps[0]
  const wait = view.waits.find((w) => first?.deviceId === w.deviceId)
  return {
    key,
    name: first?.deviceId === null ? (LAPTOP[first.kind] ?? 'Laptop') : (first?.device ?? ''),
    steps,
    state: state(view, steps, wait !== undefined),
    left: wait?.left ?? 0,
    total: wait?.total ?? 0,
  }
}

function state(view: BringUp, steps: readonly Step[], boots: boolean): CardState {
  if (steps.every((s) => s.done)) return 'done'
  if (steps.some((s) => s.number === view.current)) return 'now'
  if (!steps.some((s) => s.done)) return 'ahead'
  return boots ? 'waits' : 'begun'
}
