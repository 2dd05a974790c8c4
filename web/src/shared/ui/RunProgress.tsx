import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import LinearProgress from '@mui/material/LinearProgress'
import type { ReactNode } from 'react'

interface Props {
  readonly doing: string
  readonly done: number
  readonly count: number
  /** What is counted: "addresses". */
  readonly of: string
  /** What the button says, for example when it ends. */
  readonly cancelWords: string
  readonly onCancel?: (() => void) | undefined
  readonly children?: ReactNode
}

/** Something that a machine is at: what it does now, how far it is, and how to end it. */
export function RunProgress({ doing, done, count, of, cancelWords, onCancel, children }: Props) {
  return (
    <>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
        <Box sx={{ flex: 1, fontSize: '1.2rem' }}>
          <b>Now:</b> {doing || 'beginning'}
        </Box>
        <span>
          {done} of {count} {of} done
        </span>
        <Button variant="outlined" onClick={onCancel} disabled={!onCancel}>
          {cancelWords}
        </Button>
        {children}
      </Box>
      <LinearProgress
        variant="determinate"
        value={(100 * done) / Math.max(1, count)}
        aria-label={`${of} done`}
        sx={{ mt: 1.5 }}
      />
    </>
  )
}
