import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import LinearProgress from '@mui/material/LinearProgress'
import { useIsFetching, useIsMutating } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import type { ReactNode } from 'react'
import { sentence } from '../shared/api/client'
import { useOutbox } from '../shared/api/outbox'
import type { Job } from '../shared/api/types'
import { timeOfDay } from '../shared/format/moment'
import { useWork } from '../shared/work'
import { counted } from '../shared/format/counted'

interface Props {
  readonly job?: Job
  readonly trouble: unknown
  /** The server cannot be heard just now. */
  readonly lost: boolean
  readonly onSeen: () => void
}

/** What takes its time, what did not go through, whether the server is there; else the last thing logged. */
export function BottomLine({ job, trouble, lost, onSeen }: Props) {
  const waiting = useOutbox(job?.id ?? 0).filter((k) => k.refusal === undefined).length
  const log = job?.lastLog
  return (
    <Box
      component="footer"
      sx={{
        borderTop: '1px solid',
        borderColor: 'divider',
        px: 2,
        minHeight: 36,
        display: 'flex',
        alignItems: 'center',
        gap: 2,
        fontSize: '0.92rem',
      }}
    >
      <UnderWay />
      {trouble ? (
        <Loud>
          {sentence(trouble)}{' '}
          <Button size="small" onClick={onSeen}>
            Seen
          </Button>
        </Loud>
      ) : lost || waiting > 0 ? (
        <Loud>
          {lost ? 'The server does not answer.' : 'The server answers again.'}{' '}
          {waiting > 0
            ? `${counted(waiting, 'change is', 'changes are')} kept in this browser and will be sent.`
            : 'What you type is kept here and sent when it is back.'}
        </Loud>
      ) : (
        <Box
          role="status"
          sx={{
            flex: 1,
            color: 'text.secondary',
            overflow: 'hidden',
            textOverflow: 'ellipsis',
            whiteSpace: 'nowrap',
          }}
        >
          {log && log.text ? `${timeOfDay(log.at, job.site.clock)} ${log.person}: ${log.text}` : ''}
        </Box>
      )}
    </Box>
  )
}

function Loud({ children }: { readonly children: ReactNode }) {
  return (
    <Box role="alert" sx={{ flex: 1, color: 'error.main', fontWeight: 600 }}>
      {children}
    </Box>
  )
}

/** Work with its progress and a way to call it off; anything else once it takes over a second. */
function UnderWay() {
  const works = useWork()
  const busy = useIsMutating() + useIsFetching({ predicate: (q) => q.state.data === undefined }) > 0
  const [slow, setSlow] = useState(false)
  useEffect(() => {
    const timer = setTimeout(() => setSlow(busy), busy ? 1000 : 0)
    return () => clearTimeout(timer)
  }, [busy])
  if (works.length === 0) {
    return slow ? <LinearProgress sx={{ width: 120 }} aria-label="Under way" /> : null
  }
  return works.map((w) => (
    <Box key={w.key} sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
      {w.label}
      <LinearProgress
        aria-label={w.label}
        sx={{ width: 120 }}
        {...(w.share === undefined || w.share === 1
          ? {}
          : { variant: 'determinate' as const, value: 100 * w.share })}
      />
      <Button size="small" onClick={w.cancel}>
        Cancel
      </Button>
    </Box>
  ))
}
