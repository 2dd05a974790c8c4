import { useEffect, useRef, useState } from 'react'
import type { RefObject } from 'react'
import { get, sentence } from '../../shared/api/client'
import { stillTurns } from './stillTurns'

/** After none came. */
const AGAIN_MILLIS = 3000

/** What is shown of a camera just now. */
export interface Still {
  readonly image: RefObject<HTMLImageElement | null>
  /** A picture of this camera is there. */
  readonly shown: boolean
  /** Why there is none. */
  readonly trouble: string
}

/**
 * Pictures of one camera, one after the other, outside React's state; only while the page is in front and the picture
 * within what is seen of it.
 *
 * @param device 0 for none
 * @param apart milliseconds between two at least
 */
export function useStill(job: number, device: number, apart: number): Still {
  const image = useRef<HTMLImageElement>(null)
  const [trouble, setTrouble] = useState('')
  const [seen, setSeen] = useState(0)
  useEffect(() => {
    const at = image.current
    if (!at || device === 0) return undefined
    const path = `/api/jobs/${job}/cameras/${device}/still`
    let ended = false
    let inView = true
    let mine = false
    let timer: ReturnType<typeof setTimeout> | undefined
    let leave: () => void = () => undefined
    let asked = 0
    let count = 0
    const later = (millis: number) => {
      clearTimeout(timer)
      timer = setTimeout(next, millis)
    }
    const next = () => {
      if (document.visibilityState !== 'visible' || !inView) return later(apart)
      leave = stillTurns.want(() => {
        mine = true
        asked = performance.now()
        at.src = `${path}?n=${count++}`
      })
      return undefined
    }
    const over = () => {
      if (mine) stillTurns.giveBack()
      mine = false
    }
    const came = () => {
      over()
      setTrouble('')
      setSeen(device)
      later(Math.max(0, apart - (performance.now() - asked)))
    }
    const failed = () => {
      over()
      get(path).catch((e: unknown) => {
        if (!ended) setTrouble(sentence(e))
      })
      later(AGAIN_MILLIS)
    }
    const watch = new IntersectionObserver(([entry]) => {
      inView = entry?.isIntersecting ?? true
    })
    watch.observe(at)
    at.addEventListener('load', came)
    at.addEventListener('error', failed)
    next()
    return () => {
      ended = true
      clearTimeout(timer)
      leave()
      watch.disconnect()
      at.removeEventListener('load', came)
      at.removeEventListener('error', failed)
      at.removeAttribute('src')
      over()
      setTrouble('')
    }
  }, [job, device, apart])
  return { image, shown: device !== 0 && seen === device && trouble === '', trouble }
}
