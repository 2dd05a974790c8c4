import Box from '@mui/material/Box'
import type { ReactNode } from 'react'

interface Props {
  /** What will move, and what must not be near it. */
  readonly children: ReactNode
  /** Who says so: at the head, or at the heads. */
  readonly where: string
  readonly clear: boolean
  readonly onClear: (clear: boolean) => void
}

/** The usual caution before heads move by themselves, and that somebody at their place said "clear". */
export function ClearFirst({ children, where, clear, onClear }: Props) {
  return (
    <Box role="note" sx={{ borderLeft: '4px solid', borderColor: 'primary.main', pl: 1.5, py: 0.25, mt: 2 }}>
      <b>Caution.</b> {children} Follow local codes.
      <Box sx={{ mt: 1 }}>
        <label>
          <input type="checkbox" checked={clear} onChange={() => onClear(!clear)} /> Somebody at the {where}{' '}
          said “clear”
        </label>
      </Box>
    </Box>
  )
}
