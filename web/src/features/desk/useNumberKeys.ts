import { useEffect, useRef } from 'react'

/** So long one more digit is waited for, where a longer number begins with what was typed. */
const PATIENCE_MS = 400

interface Keyed {
  readonly id: number
  readonly number: number
  /** What stands on its key: a number, or letters. */
  readonly key: string
}

const LETTERS = /^[A-Z]+$/

/** What can be typed for it: its key; its number too where keys are letters. */
function named(camera: Keyed): readonly string[] {
  return LETTERS.test(camera.key) ? [camera.key, String(camera.number)] : [camera.key]
}

/** A digit, or a capital where keys are letters: small ones are keys of the desk itself. */
export function isKeyOf(cameras: readonly Keyed[], typed: string): boolean {
  return /^([0-9]|Enter)$/.test(typed) || (/^[A-Z]$/.test(typed) && cameras.some((c) => LETTERS.test(c.key)))
}

/** What a digit or letter leads to: a camera at once, or the digits so far, to wait with. */
export function afterDigit(
  cameras: readonly Keyed[],
  typed: string,
): { readonly take?: number; readonly wait: string } {
  const exact = cameras.find((c) => named(c).includes(typed))
  const longer = cameras.some((c) => named(c).some((n) => n.length > typed.length && n.startsWith(typed)))
  if (longer) return { wait: typed }
  return exact ? { take: exact.id, wait: '' } : { wait: '' }
}

/** Takes cameras by their typed keys of one sign or more; Enter ends the waiting. */
export function useNumberKeys(cameras: readonly Keyed[], take: (id: number) => void): (key: string) => void {
  const typed = useRef('')
  const timer = useRef(0)
  useEffect(() => () => window.clearTimeout(timer.current), [])

  function takeTyped(): void {
    window.clearTimeout(timer.current)
    const exact = cameras.find((c) => named(c).includes(typed.current))
    typed.current = ''
    if (exact) take(exact.id)
  }

  return (key) => {
    if (key === 'Enter') {
      takeTyped()
      return
    }
    window.clearTimeout(timer.current)
    const next = afterDigit(cameras, typed.current + key)
    typed.current = next.wait
    if (next.take !== undefined) take(next.take)
    else if (next.wait) timer.current = window.setTimeout(takeTyped, PATIENCE_MS)
  }
}
