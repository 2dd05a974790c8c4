import Box from '@mui/material/Box'
import type { ReactNode } from 'react'

export type Mark = 'planned' | 'set' | 'proved' | 'stale' | 'differs' | 'stopped' | 'waived'

const shapes: Record<Mark, ReactNode> = {
  planned: <circle cx="8" cy="8" r="6" fill="none" stroke="currentColor" strokeWidth="2" />,
  set: (
    <>
      <circle cx="8" cy="8" r="6" fill="none" stroke="currentColor" strokeWidth="2" />
      <path d="M8 2a6 6 0 0 0 0 12z" fill="currentColor" />
    </>
  ),
  proved: <circle cx="8" cy="8" r="7" fill="currentColor" />,
  stale: (
    <>
      <circle
        cx="8"
        cy="8"
        r="6.5"
        fill="none"
        stroke="currentColor"
        strokeWidth="2"
        strokeDasharray="3 2.1"
      />
      <circle cx="8" cy="8" r="2.5" fill="currentColor" />
    </>
  ),
  differs: (
    <>
      <rect x="2" y="2" width="12" height="12" fill="none" stroke="currentColor" strokeWidth="2" />
      <path d="M2 14 14 2v12z" fill="currentColor" />
    </>
  ),
  stopped: <path d="M8 1.5 15 14.5H1z" fill="currentColor" />,
  waived: <path d="M2 8h12" stroke="currentColor" strokeWidth="3" />,
}

/** A state as a mark and a word, never colour alone. */
export function StateMark({ mark }: { readonly mark: string }) {
  const known = mark in shapes ? (mark as Mark) : 'planned'
  return (
    <Box
      component="span"
      sx={{ display: 'inline-flex', alignItems: 'center', gap: 0.75, whiteSpace: 'nowrap' }}
    >
      <svg width="16" height="16" aria-hidden="true">
        {shapes[known]}
      </svg>
      {known}
    </Box>
  )
}

/** What the marks mean, for the marks that can occur on a page. */
export function MarkLegend({ marks }: { readonly marks: readonly Mark[] }) {
  const meaning: Record<Mark, string> = {
    planned: 'on paper only',
    set: 'answered where it is planned',
    proved: 'every test it needs was asked or seen',
    stale: 'proved before something it rests on changed',
    differs: 'something was found otherwise than planned, or did not work',
    stopped: 'a stop finding stands against it',
    waived: 'waived with a reason',
  }
  return (
    <Box
      sx={{
        display: 'flex',
        flexWrap: 'wrap',
        gap: 2.5,
        color: 'text.secondary',
        fontSize: '0.9rem',
        mt: 1.5,
      }}
    >
      {marks.map((m) => (
        <Box key={m} component="span" sx={{ display: 'inline-flex', alignItems: 'center', gap: 0.75 }}>
          <StateMark mark={m} /> – {meaning[m]}
        </Box>
      ))}
    </Box>
  )
}
