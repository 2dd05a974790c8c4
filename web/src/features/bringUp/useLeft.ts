import { useEffect, useState } from 'react'

/**
 * Seconds of the world's time that are left, counted down at the pace of its clock.
 *
 * @param left what was left when it was fetched
 */
export function useLeft(left: number, speed: number): number {
  const [now, setNow] = useState(left)
  useEffect(() => {
    const end = performance.now() + (left / speed) * 1000
    const tick = () => setNow(Math.max(0, ((end - performance.now()) / 1000) * speed))
    tick()
    const timer = setInterval(tick, 250)
    return () => clearInterval(timer)
  }, [left, speed])
  return now
}
