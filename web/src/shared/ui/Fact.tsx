import Box from '@mui/material/Box'
import type { ReactNode } from 'react'

interface Props {
  readonly name: string
  readonly children: ReactNode
}

/** One named value of a list of settings. */
export function Fact({ name, children }: Props) {
  return (
    <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', minHeight: 34 }}>
      <Box sx={{ width: 190, flexShrink: 0, color: 'text.secondary' }}>{name}</Box>
      <div>{children}</div>
    </Box>
  )
}
