import { useEffect, useRef } from 'react'

/** So long one more digit is waited for, where a longer number begins with what was typed. */
const PATIENCE_MS = 400

interface Numbered {
  readonly id: number
  readonly number: number
}

/** What a digit leads to: a camera at once, or the digits so far, to wait with. */
export function afterDigit(
  cameras: readonly Numbered[],
  typed: string,
): { readonly take?: number; readonly wait: string } {
  const exact = cameras.find((c) => String(c.number) === typed)
  const longer = cameras.some(
    (c) => String(c.number).length > typed.length && String(c.number).startsWith(typed),
  )
  if (longer) return { wait: typed }
  return exact ? { take: exact.id, wait: '' } : { wait: '' }
}

/** Takes cameras by typed numbers of one or two digits; Enter ends the waiting. */
export function useNumberKeys(
  cameras: readonly Numbered[],
  take: (id: number) => void,
): (key: string) => void {
  const typed = useRef('')
  const timer = useRef(0)
  useEffect(() => () => window.clearTimeout(timer.current), [])

  function takeTyped(): void {
    window.clearTimeout(timer.current)
    const exact = cameras.find((c) => String(c.number) === typed.current)
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
