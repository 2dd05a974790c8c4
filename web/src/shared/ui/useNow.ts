import { useEffect, useState } from 'react'

const MINUTE = 60_000

/** The time, anew each minute: ages grow by themselves. */
export function useNow(): number {
  const [now, setNow] = useState(Date.now)
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), MINUTE)
    return () => clearInterval(timer)
  }, [])
  return now
}
