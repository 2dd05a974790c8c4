import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useRef } from 'react'
import type { ToldView, Verb } from '../../shared/api/types'
import type { Readings } from './knobs'
import { menuShows, menuVerb } from './menu'

interface Props {
  readonly view: ToldView
  readonly readings: Readings
  /** Why a verb cannot be told now; empty when it can. */
  readonly keeps: (verb: Verb) => string
  readonly onTell: (verb: Verb) => void
}

const byKey: Readonly<Record<string, string>> = {
  ArrowUp: 'up',
  ArrowDown: 'down',
  ArrowLeft: 'left',
  ArrowRight: 'right',
  Enter: 'enter',
  Backspace: 'back',
}

const places = [
  ['up', '▲', 2, 1],
  ['left', '◀', 1, 2],
  ['enter', 'Enter', 2, 2],
  ['right', '▶', 3, 2],
  ['down', '▼', 2, 3],
  ['back', 'Back', 1, 3],
] as const

/**
 * Goes through the menu that the camera shows in its picture. While it has the keyboard, arrows are the menu's and
 * no head moves by them; Space and Escape stop all as ever.
 */
export function MenuPad({ view, readings, keeps, onTell }: Props) {
  const pad = useRef<HTMLDivElement>(null)
  if (!menuShows(view, readings)) return null
  const press = (what: string) => {
    const verb = menuVerb(view, what)
    if (verb && keeps(verb) === '') onTell(verb)
  }
  return (
    <Box
      ref={pad}
      role="group"
      tabIndex={0}
      aria-label={`Menu of ${view.name}`}
      onKeyDown={(e) => {
        const what = byKey[e.key]
        if (what === undefined || e.ctrlKey || e.metaKey || e.altKey) return
        e.preventDefault()
        e.stopPropagation()
        press(what)
      }}
      sx={{
        display: 'grid',
        gridTemplateColumns: 'repeat(3, 84px) minmax(0, 1fr)',
        gap: 0.5,
        p: 1,
        mt: 1,
        border: '1px solid',
        borderColor: 'divider',
        borderRadius: '6px',
        '&:focus-within': { borderColor: 'primary.main', outline: '2px solid', outlineColor: 'primary.main' },
      }}
    >
      {places.map(([what, sign, column, row]) => {
        const verb = menuVerb(view, what)
        return (
          <Button
            key={what}
            variant="outlined"
            disabled={!verb || keeps(verb) !== ''}
            aria-label={sign === 'Enter' || sign === 'Back' ? `${sign} in the menu` : `Menu ${what}`}
            onClick={() => {
              pad.current?.focus()
              press(what)
            }}
            sx={{ gridColumn: column, gridRow: row, minHeight: 44 }}
          >
            {sign}
          </Button>
        )
      })}
      <Box sx={{ gridColumn: 4, gridRow: '1 / 4', pl: 2, alignSelf: 'center' }}>
        The menu of {view.name} is in its picture, and in what it sends. While this is framed the arrow keys
        go to the menu and move no head; click elsewhere to drive again.
      </Box>
    </Box>
  )
}
