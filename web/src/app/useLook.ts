import useMediaQuery from '@mui/material/useMediaQuery'
import { useState } from 'react'
import type { Look } from './theme'

const KEY = 'jerboa.look'

function stored(): Look | undefined {
  const value = localStorage.getItem(KEY)
  return value === 'day' || value === 'dusk' ? value : undefined
}

/** Day or Dusk: what was chosen on this machine, else what the system prefers. */
export function useLook(): { look: Look; change: () => void } {
  const systemIsDark = useMediaQuery('(prefers-color-scheme: dark)', { noSsr: true })
  const [chosen, setChosen] = useState(stored)
  const look = chosen ?? (systemIsDark ? 'dusk' : 'day')
  const change = () => {
    const next = look === 'day' ? 'dusk' : 'day'
    localStorage.setItem(KEY, next)
    setChosen(next)
  }
  return { look, change }
}
