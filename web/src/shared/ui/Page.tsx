import Box from '@mui/material/Box'
import type { ReactNode } from 'react'
import type { Finding, Job } from '../api/types'
import { Margin } from './Margin'

interface Props {
  readonly title: string
  readonly job: Job
  readonly findings: readonly Finding[]
  readonly actions?: ReactNode
  readonly children: ReactNode
}

/** A stage's page: its title and actions, its content, and the margin beside it. */
export function Page({ title, job, findings, actions, children }: Props) {
  return (
    <Box
      sx={{
        display: 'flex',
        flex: 1,
        minWidth: 0,
        minHeight: 0,
        flexDirection: { xs: 'column', sm: 'row' },
        overflow: { xs: 'auto', sm: 'hidden' },
      }}
    >
      <Box
        component="main"
        sx={{
          flex: { xs: 'none', sm: 1 },
          minWidth: 0,
          overflow: { sm: 'auto' },
          px: { xs: 2, sm: 3 },
          py: 2,
        }}
      >
        <Box
          sx={{ display: 'flex', alignItems: 'center', gap: 1.5, mb: 1.5, flexWrap: 'wrap', minHeight: 38 }}
        >
          <Box component="h1" sx={{ typography: 'h1', m: 0, flex: 1 }}>
            {title}
          </Box>
          {actions}
        </Box>
        {children}
      </Box>
      <Margin job={job} findings={findings} />
    </Box>
  )
}
