import { useEffect } from 'react'
import type { Knob, ToldView } from '../../shared/api/types'

/** So long after its last step what was wanted of a knob is forgotten: the camera says where it stands. */
const FORGETS_MILLIS = 1500

interface Impl {
  readonly view: ToldView
  readonly step: (knob: string, by: number) => void
  readonly tell: (verb: string) => void
}

/** A hand on the functions of the taken camera that is not on the page: buttons and axes of a game pad. */
export function toldHand() {
  let impl: Impl | undefined
  let device = 0
  const wants = new Map<string, { readonly value: number; readonly at: number }>()
  return {
    set(next: Impl | undefined) {
      impl = next
      if (next === undefined || next.view.device === device) return
      device = next.view.device
      wants.clear()
    },
    view: () => impl?.view,
    /** @param by steps, with fractions: what does not come to a step yet is kept for the next */
    step: (knob: string, by: number) => impl?.step(knob, by),
    tell: (verb: string) => impl?.tell(verb),
    want: (knob: string, value: number) => wants.set(knob, { value, at: Date.now() }),
    wanted(knob: string): number | undefined {
      const last = wants.get(knob)
      return last && Date.now() - last.at < FORGETS_MILLIS ? last.value : undefined
    },
  }
}

export type ToldHand = ReturnType<typeof toldHand>

/** The next value of a knob; of one with choices the next choice. */
export function stepped(knob: Pick<Knob, 'choices' | 'least' | 'most'>, at: number, by: number): number {
  if (knob.choices.length === 0) return Math.max(knob.least, Math.min(knob.most, at + by))
  const place = knob.choices.findIndex((c) => c.value === at)
  const next = Math.max(0, Math.min(knob.choices.length - 1, place + Math.sign(by)))
  return knob.choices[next]?.value ?? at
}

/** The hand turns what this column shows, as long as it shows it. */
export function useToldHand(hand: ToldHand, impl: Impl): void {
  useEffect(() => {
    hand.set(impl)
    return () => hand.set(undefined)
  })
}
