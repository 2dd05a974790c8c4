import { useEffect, useEffectEvent } from 'react'

/** True while somebody types into a field, where single keys must stay text. */
export function typing(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    target.matches('input:not([type=range]), textarea, select, [contenteditable]')
  )
}

/** True while letters would become text: a box that is ticked takes none. */
export function writing(target: EventTarget | null): boolean {
  return typing(target) && !(target instanceof HTMLElement && target.matches('[type=checkbox], [type=radio]'))
}

/** True where Enter presses what has the keyboard: it must not do something else besides. */
export function pressing(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    target.closest('button, a, summary, [role=button], [role=option]') !== null
  )
}

/** Calls the handler for every key pressed anywhere on the page. */
export function useKeys(handler: (event: KeyboardEvent) => void): void {
  const onKey = useEffectEvent(handler)
  useEffect(() => {
    const listen = (event: KeyboardEvent) => onKey(event)
    window.addEventListener('keydown', listen)
    return () => window.removeEventListener('keydown', listen)
  }, [])
}
