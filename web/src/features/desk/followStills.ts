import { get, sentence } from '../../shared/api/client'
import { stillTurns } from './stillTurns'

/** After none came. */
const AGAIN_MILLIS = 3000
/** What came so long ago may be over, whatever the next one waits for. Out of a stream it takes a second or two. */
const OLD_MILLIS = 4000
/** The server says within 7 s why there is none: whoever says nothing for so long does not answer. */
const LOST_MILLIS = 10_000
const LOST = `No picture came for ${LOST_MILLIS / 1000} s. It is asked for again.`

/** What is known of the pictures that are followed. */
export interface Told {
  readonly came: () => void
  readonly old: (old: boolean) => void
  /** Empty when it is over. */
  readonly trouble: (why: string) => void
}

/**
 * Shows the pictures at a path in an image, one after the other. Call what comes back to end it.
 *
 * @param apart milliseconds between two at least
 * @param looked whether anybody can see it
 */
export function followStills(
  at: HTMLImageElement,
  path: string,
  apart: number,
  looked: () => boolean,
  told: Told,
): () => void {
  let ended = false
  let mine = false
  let timer: ReturnType<typeof setTimeout> | undefined
  let aging: ReturnType<typeof setTimeout> | undefined
  let losing: ReturnType<typeof setTimeout> | undefined
  let leave: () => void = () => undefined
  let asked = 0
  let count = 0
  const later = (millis: number) => {
    clearTimeout(timer)
    timer = setTimeout(next, millis)
  }
  function next() {
    if (!looked()) return later(apart)
    leave = stillTurns.want(() => {
      mine = true
      asked = performance.now()
      at.src = `${path}?n=${count++}`
      losing = setTimeout(lost, LOST_MILLIS)
    })
    return undefined
  }
  const over = () => {
    clearTimeout(losing)
    if (mine) stillTurns.giveBack()
    mine = false
  }
  function lost() {
    at.removeAttribute('src')
    over()
    told.trouble(LOST)
    later(AGAIN_MILLIS)
  }
  const came = () => {
    over()
    told.trouble('')
    told.came()
    told.old(false)
    clearTimeout(aging)
    aging = setTimeout(() => told.old(true), OLD_MILLIS)
    later(Math.max(0, apart - (performance.now() - asked)))
  }
  const failed = () => {
    over()
    get(path).catch((e: unknown) => {
      if (!ended) told.trouble(sentence(e))
    })
    later(AGAIN_MILLIS)
  }
  at.addEventListener('load', came)
  at.addEventListener('error', failed)
  next()
  return () => {
    ended = true
    clearTimeout(timer)
    clearTimeout(aging)
    leave()
    at.removeEventListener('load', came)
    at.removeEventListener('error', failed)
    at.removeAttribute('src')
    over()
    told.old(false)
    told.trouble('')
  }
}
