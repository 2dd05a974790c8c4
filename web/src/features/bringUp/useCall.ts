import { useEffect, useRef, useState } from 'react'

const KEY = 'jerboa.bring-up.call'
const TONE_HERTZ = 880
const TONE_SECONDS = 0.25

/**
 * Calls when a wait is over: a tone, and the page's title until the card is looked at. Off where
 * somebody turned it off in this browser.
 *
 * @param waiting a wait is under way
 * @param what is to be done next
 */
export function useCall(waiting: boolean, what: string): { on: boolean; turn: (on: boolean) => void } {
  const [on, setOn] = useState(() => localStorage.getItem(KEY) !== 'off')
  const waited = useRef(false)
  /** The page's own title while it calls; else nothing. */
  const title = useRef<string>(undefined)
  useEffect(() => {
    if (waited.current && !waiting && on) {
      tone()
      title.current ??= document.title
      document.title = `▸ ${what}`
    }
    waited.current = waiting
  }, [waiting, what, on])
  useEffect(() => {
    const seen = () => {
      if (title.current !== undefined) document.title = title.current
      title.current = undefined
    }
    const signs = ['focus', 'pointerdown', 'keydown'] as const
    signs.forEach((sign) => window.addEventListener(sign, seen))
    return () => {
      signs.forEach((sign) => window.removeEventListener(sign, seen))
      seen()
    }
  }, [])
  const turn = (next: boolean) => {
    localStorage.setItem(KEY, next ? 'on' : 'off')
    setOn(next)
  }
  return { on, turn }
}

/** A browser that nobody has touched yet makes no sound; the title says it all the same. */
function tone() {
  try {
    const audio = new AudioContext()
    const source = audio.createOscillator()
    const level = audio.createGain()
    source.frequency.value = TONE_HERTZ
    level.gain.value = 0.2
    source.connect(level).connect(audio.destination)
    source.start()
    source.stop(audio.currentTime + TONE_SECONDS)
    source.onended = () => void audio.close()
  } catch {
    // No sound in this browser.
  }
}
