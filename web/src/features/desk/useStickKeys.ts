import { useEffect, useEffectEvent, useRef } from 'react'
import { typing } from '../../shared/ui/keys'
import type { Stick } from './messages'

const pushes: Record<string, Partial<Stick>> = {
  ArrowLeft: { pan: -1 },
  ArrowRight: { pan: 1 },
  ArrowUp: { tilt: 1 },
  ArrowDown: { tilt: -1 },
  '+': { zoom: 1 },
  '=': { zoom: 1 },
  '-': { zoom: -1 },
}

/** What the keys that are held down add up to. */
export function deflection(held: ReadonlySet<string>): Stick {
  let [pan, tilt, zoom] = [0, 0, 0]
  for (const key of held) {
    pan += pushes[key]?.pan ?? 0
    tilt += pushes[key]?.tilt ?? 0
    zoom += pushes[key]?.zoom ?? 0
  }
  const clamp = (v: number) => Math.max(-1, Math.min(1, v))
  return { pan: clamp(pan), tilt: clamp(tilt), zoom: clamp(zoom) }
}

/** Arrow keys are the stick, plus and minus the zoom; released keys spring back. */
export function useStickKeys(onPush: (stick: Stick) => void): void {
  const held = useRef(new Set<string>())
  const push = useEffectEvent(onPush)
  useEffect(() => {
    const keys = held.current
    const down = (e: KeyboardEvent) => {
      if (!(e.key in pushes) || typing(e.target) || e.ctrlKey || e.metaKey || e.altKey) return
      e.preventDefault()
      if (keys.has(e.key)) return
      keys.add(e.key)
      push(deflection(keys))
    }
    const up = (e: KeyboardEvent) => {
      // Shift may change which character a key gives between down and up.
      const same = e.key === '+' || e.key === '=' ? ['+', '='] : [e.key]
      if (same.map((k) => keys.delete(k)).includes(true)) push(deflection(keys))
    }
    const blur = () => keys.clear()
    window.addEventListener('keydown', down)
    window.addEventListener('keyup', up)
    window.addEventListener('blur', blur)
    return () => {
      window.removeEventListener('keydown', down)
      window.removeEventListener('keyup', up)
      window.removeEventListener('blur', blur)
    }
  }, [])
}
