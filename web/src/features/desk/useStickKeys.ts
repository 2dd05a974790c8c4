import { useEffect } from 'react'
import { typing } from '../../shared/ui/keys'
import type { Stick } from './messages'
import { added } from './messages'
import type { Hold, StickStore } from './stickStore'

const pushes: Record<string, Partial<Stick>> = {
  ArrowLeft: { pan: -1 },
  ArrowRight: { pan: 1 },
  ArrowUp: { tilt: 1 },
  ArrowDown: { tilt: -1 },
  '+': { zoom: 1 },
  '=': { zoom: 1 },
  '-': { zoom: -1 },
  f: { focus: 1 },
  n: { focus: -1 },
  e: { roll: 1 },
  q: { roll: -1 },
  d: { rail: 1 },
  a: { rail: -1 },
}

/** Arrows move a slider that has the focus, and no head. */
const onSlider = (target: EventTarget | null) =>
  target instanceof HTMLElement && target.matches('input[type=range]')

/** What the keys that are held down add up to. */
export function deflection(held: ReadonlySet<string>): Stick {
  return added([...held].map((key) => pushes[key] ?? {}))
}

/** Which keys are down; those that were down when everything was centred do not count any more. */
export function heldKeys(stick: StickStore) {
  const held = new Set<string>()
  let hold: Hold | undefined
  let generation = stick.generation()

  function forgetOldOnes() {
    if (generation === stick.generation()) return
    generation = stick.generation()
    held.clear()
    hold = undefined
  }

  return {
    /** @param repeat the key was down already and repeats itself: no new press */
    down(key: string, repeat: boolean) {
      forgetOldOnes()
      if (repeat || held.has(key)) return
      held.add(key)
      hold ??= stick.hold('keys')
      hold.push(deflection(held))
    },
    up(key: string) {
      forgetOldOnes()
      // Shift may change which character a key gives between down and up.
      const same = key === '+' || key === '=' ? ['+', '='] : [key]
      if (!same.map((k) => held.delete(k)).includes(true)) return
      if (held.size > 0) hold?.push(deflection(held))
      else {
        hold?.release()
        hold = undefined
      }
    },
  }
}

/** Arrow keys are the stick, plus and minus the zoom, f and n the focus, q and e the roll, a and d the rail; released keys spring back. */
export function useStickKeys(stick: StickStore): void {
  useEffect(() => {
    const keys = heldKeys(stick)
    const down = (e: KeyboardEvent) => {
      if (!(e.key in pushes) || typing(e.target) || onSlider(e.target) || e.ctrlKey || e.metaKey || e.altKey)
        return
      e.preventDefault()
      keys.down(e.key, e.repeat)
    }
    const up = (e: KeyboardEvent) => keys.up(e.key)
    window.addEventListener('keydown', down)
    window.addEventListener('keyup', up)
    return () => {
      window.removeEventListener('keydown', down)
      window.removeEventListener('keyup', up)
    }
  }, [stick])
}
