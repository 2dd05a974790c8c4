import Box from '@mui/material/Box'
import type { ReactNode } from 'react'

interface Props {
  /** The number does not say what the line's says. */
  readonly out: boolean
  /** The line's own, for example "L5". */
  readonly line: string
  readonly children: ReactNode
}

/** A number of a line; one that disagrees stands out of line, with what it should say. */
export function OutOfLine({ out, line, children }: Props) {
  if (!out) return children
  return (
    <Box
      component="span"
      data-out=""
      sx={{
        display: 'inline-block',
        ml: 1.5,
        px: 0.5,
        border: '2px solid',
        borderColor: 'warning.main',
        borderRadius: 1,
      }}
    >
      {children}
      <Box component="span" sx={{ fontSize: '0.85rem', fontWeight: 600, whiteSpace: 'nowrap' }}>
        {' '}
        ≠ {line}
      </Box>
    </Box>
  )
}
