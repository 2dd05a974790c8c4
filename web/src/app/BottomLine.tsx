import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import LinearProgress from '@mui/material/LinearProgress'
import { useIsFetching, useIsMutating } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { sentence } from '../shared/api/client'
import type { Job } from '../shared/api/types'
import { timeOfDay } from '../shared/format/duration'

interface Props {
  readonly job?: Job
  readonly trouble: unknown
  readonly onSeen: () => void
}

/** The last thing logged, what takes its time, and what did not go through. */
export function BottomLine({ job, trouble, onSeen }: Props) {
  const log = job?.lastLog
  return (
    <Box
      component="footer"
      sx={{
        borderTop: '1px solid',
        borderColor: 'divider',
        px: 2,
        minHeight: 34,
        display: 'flex',
        alignItems: 'center',
        gap: 2,
        fontSize: '0.92rem',
      }}
    >
      <Slow />
      {trouble ? (
        <Box role="alert" sx={{ flex: 1, color: 'error.main', fontWeight: 600 }}>
          {sentence(trouble)}{' '}
          <Button size="small" onClick={onSeen}>
            Seen
          </Button>
        </Box>
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
          {log && log.text ? `${timeOfDay(log.at)} ${log.person}: ${log.text}` : ''}
        </Box>
      )}
    </Box>
  )
}

/** Shown once something has been under way for a second. */
function Slow() {
  const busy = useIsMutating() + useIsFetching({ predicate: (q) => q.state.data === undefined }) > 0
  const [slow, setSlow] = useState(false)
  useEffect(() => {
    const timer = setTimeout(() => setSlow(busy), busy ? 1000 : 0)
    return () => clearTimeout(timer)
  }, [busy])
  return slow ? <LinearProgress sx={{ width: 120 }} aria-label="Under way" /> : null
}
