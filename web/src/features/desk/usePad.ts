import { useEffect, useEffectEvent, useRef, useState } from 'react'
import { centred } from './messages'
import type { PadAct, PadMap, PadState, ToldByButton } from './pad'
import { readPad } from './pad'
import type { Hold, StickStore } from './stickStore'

/** The pad that is connected, by the name its browser gives it; nothing while there is none. */
export function usePadName(): string {
  const [name, setName] = useState(() => present()?.id ?? '')
  useEffect(() => {
    const look = () => setName(present()?.id ?? '')
    window.addEventListener('gamepadconnected', look)
    window.addEventListener('gamepaddisconnected', look)
    return () => {
      window.removeEventListener('gamepadconnected', look)
      window.removeEventListener('gamepaddisconnected', look)
    }
  }, [])
  return name
}

/** The first pad that is connected now. */
export function present(): Gamepad | undefined {
  return navigator.getGamepads().find((p): p is Gamepad => p?.connected === true)
}

/** A pad that is gone. */
const LET_GO = { stick: undefined, acts: new Set<PadAct>(), turns: new Map<string, number>() }
/** Between two looks, in seconds; a page that was hidden meanwhile turns no knob by what it missed. */
const LONGEST_STEP = 0.1

/**
 * The pad as a hand on the stick, looked at with every picture that the browser draws: a page that hangs looks at
 * nothing and says nothing, so its head is stopped. A pad that is gone has let go.
 */
export function usePad(
  stick: StickStore,
  name: string,
  map: PadMap,
  act: (what: PadAct | ToldByButton) => void,
  turn: (knob: string, push: number, seconds: number) => void,
): void {
  const hold = useRef<Hold>(undefined)
  const last = useRef(0)
  const before = useRef<ReadonlySet<PadAct | ToldByButton>>(new Set())
  const look = useEffectEvent((pad: PadState | undefined) => {
    const { stick: push, acts, turns } = pad ? readPad(map, pad) : LET_GO
    if (push && !centred(push)) {
      hold.current ??= stick.hold('pad')
      hold.current.push(push)
    } else {
      hold.current?.release()
      hold.current = undefined
    }
    for (const a of acts) if (!before.current.has(a)) act(a)
    before.current = acts
    const now = performance.now()
    const seconds = Math.min(LONGEST_STEP, (now - last.current) / 1000)
    last.current = now
    for (const [knob, pushed] of turns) if (pushed !== 0) turn(knob, pushed, seconds)
  })
  useEffect(() => {
    if (name === '') return
    let frame = 0
    const next = () => {
      look(present())
      frame = requestAnimationFrame(next)
    }
    frame = requestAnimationFrame(next)
    return () => {
      cancelAnimationFrame(frame)
      look(undefined)
    }
  }, [name])
}
