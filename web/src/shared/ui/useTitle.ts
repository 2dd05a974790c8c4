import { useEffect } from 'react'

/** What the browser's tab, its history and whoever hears the page call it: page first, then job. */
export function useTitle(...parts: readonly (string | undefined)[]) {
  const title = [...parts, 'Jerboa'].filter(Boolean).join(' · ')
  useEffect(() => {
    document.title = title
  }, [title])
}
