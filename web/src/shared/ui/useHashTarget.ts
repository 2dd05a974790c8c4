import { useEffect } from 'react'
import { useLocation } from 'react-router'

/** Brings the place that a link names into view and points at it. */
export function useHashTarget(): void {
  const { hash, key } = useLocation()
  useEffect(() => {
    const place = hash && document.getElementById(decodeURIComponent(hash.slice(1)))
    if (!place) return
    place.scrollIntoView({ block: 'center' })
    place.setAttribute('data-pointed', '')
    return () => place.removeAttribute('data-pointed')
  }, [hash, key])
}
