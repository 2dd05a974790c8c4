import Box from '@mui/material/Box'
import type { ReactNode } from 'react'
import type { Finding, Job } from '../api/types'
import { KeysHelp } from './KeysHelp'
import { Margin } from './Margin'
import type { PageKey } from './pageKeys'
import { useHashTarget } from './useHashTarget'

interface Props {
  readonly title: string
  readonly job: Job
  /** What the margin says; a page without a margin has none. */
  readonly findings?: readonly Finding[]
  /** Said before them: of this machine rather than of the plan, so that nobody can waive it. */
  readonly ofWorld?: readonly Finding[]
  readonly actions?: ReactNode
  /** Keys of this page beside those that work everywhere. */
  readonly keys?: readonly PageKey[]
  /** The margin starts folded: the page needs the room. */
  readonly folded?: boolean
  /** The content is as tall as the window and scrolls within itself. */
  readonly fills?: boolean
  readonly children: ReactNode
}

const NONE: readonly Finding[] = []

/** A stage's page: its title and actions, its content, and the margin beside it. */
export function Page({
  title,
  job,
  findings,
  ofWorld = NONE,
  actions,
  keys = [],
  folded,
  fills,
  children,
}: Props) {
  useHashTarget()
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
        tabIndex={0}
        sx={{
          flex: { xs: 'none', sm: 1 },
          minWidth: 0,
          overflow: { sm: 'auto' },
          px: { xs: 2, sm: 3 },
          py: 2,
          ...(fills ? { display: 'flex', flexDirection: 'column' } : {}),
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
      {findings && <Margin job={job} findings={findings} ofWorld={ofWorld} folded={folded ?? false} />}
      <KeysHelp title={title} keys={keys} />
    </Box>
  )
}
