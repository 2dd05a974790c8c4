import Box from '@mui/material/Box'
import type { ReactNode } from 'react'

/** A refusal or failure beside what it concerns: what happened, what was kept, what to do. */
export function Trouble({ children }: { readonly children: ReactNode }) {
  return (
    <Box
      role="alert"
      sx={{
        borderLeft: '4px solid',
        borderColor: 'error.main',
        pl: 1.5,
        py: 0.5,
        my: 1,
        color: 'text.primary',
      }}
    >
      {children}
    </Box>
  )
}
