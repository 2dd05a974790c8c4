import { useEffect, useState } from 'react'
import { centred } from './messages'
import type { StickStore } from './stickStore'

/** A hand that let go often pushes again at once. */
const REST_MILLIS = 400

/**
 * The last value while nobody drove: while the stick is held, and a moment after, nothing heavy is drawn, since a
 * page that is busy misses its beat and the head is stopped.
 */
export function useAtRest<T>(
  stick: StickStore,
  value: T,
  before: T,
): { readonly value: T; readonly rests: boolean } {
  const [shown, setShown] = useState(before)
  const [rests, setRests] = useState(true)
  useEffect(() => {
    let timer = 0
    const look = () => {
      window.clearTimeout(timer)
      if (!centred(stick.now())) {
        setRests(false)
        return
      }
      timer = window.setTimeout(() => {
        setShown(value)
        setRests(true)
      }, REST_MILLIS)
    }
    look()
    const end = stick.listen(look)
    return () => {
      window.clearTimeout(timer)
      end()
    }
  }, [stick, value])
  return { value: shown, rests }
}
