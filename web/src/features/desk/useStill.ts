import { useEffect, useRef, useState } from 'react'
import type { RefObject } from 'react'
import { followStills } from './followStills'

/** What is shown of a camera just now. */
export interface Still {
  readonly image: RefObject<HTMLImageElement | null>
  /** A picture of this camera is there. */
  readonly shown: boolean
  /** The next one is late, so that this one may no longer be so. */
  readonly old: boolean
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
  const [old, setOld] = useState(false)
  useEffect(() => {
    const at = image.current
    if (!at || device === 0) return undefined
    let inView = true
    const watch = new IntersectionObserver(([entry]) => {
      inView = entry?.isIntersecting ?? true
    })
    watch.observe(at)
    const end = followStills(
      at,
      `/api/jobs/${job}/cameras/${device}/still`,
      apart,
      () => inView && document.visibilityState === 'visible',
      { came: () => setSeen(device), old: setOld, trouble: setTrouble },
    )
    return () => {
      watch.disconnect()
      end()
    }
  }, [job, device, apart])
  const shown = device !== 0 && seen === device && trouble === ''
  return { image, shown, old: shown && old, trouble }
}
