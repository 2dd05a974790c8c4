import { useEffect, useEffectEvent, useRef } from 'react'
import { typing } from '../../shared/ui/keys'
import { useNumberKeys } from './useNumberKeys'

/** So long after p its number is waited for. */
const PATIENCE_MS = 1500

/** p and what a preset is called recall it; numbers alone go on taking cameras. */
export function usePresetKeys(typed: ReadonlyMap<number, string>, recall: (number: number) => void): void {
  const pressed = useRef(0)
  // Numbers from 0: the id of the first must not be 0, which stands for none.
  const digit = useNumberKeys(
    [...typed].map(([n, key]) => ({ id: n + 1, number: n, key })),
    (id) => {
      pressed.current = 0
      recall(id - 1)
    },
  )
  const down = useEffectEvent((e: KeyboardEvent) => {
    if (typing(e.target) || e.ctrlKey || e.metaKey || e.altKey) return
    if (e.key === 'p') {
      pressed.current = Date.now()
    } else if (/^([0-9]|Enter)$/.test(e.key) && Date.now() - pressed.current < PATIENCE_MS) {
      if (e.key !== 'Enter') pressed.current = Date.now()
      e.preventDefault()
      e.stopImmediatePropagation()
      digit(e.key)
    }
  })
  useEffect(() => {
    const listener = (e: KeyboardEvent) => down(e)
    window.addEventListener('keydown', listener, true)
    return () => window.removeEventListener('keydown', listener, true)
  }, [])
}
