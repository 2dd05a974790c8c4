import Box from '@mui/material/Box'
import LinearProgress from '@mui/material/LinearProgress'
import { duration } from '../../shared/format/duration'
import { useLeft } from './useLeft'

interface Props {
  /** Seconds of the world's time that were left when this was fetched. */
  readonly left: number
  readonly total: number
  readonly speed: number
}

/** A boot that runs by itself, counted down at the pace of the world's clock. */
export function Countdown({ left, total, speed }: Props) {
  const now = useLeft(left, speed)
  if (now <= 0) return null
  return (
    <Box sx={{ my: 1.5 }} role="timer">
      <Box sx={{ mb: 0.5 }}>
        Boot: about <b>{duration(now)}</b> of {duration(total)} left (by the profile)
      </Box>
      <LinearProgress
        variant="determinate"
        value={100 - (100 * now) / Math.max(total, now)}
        aria-label="Boot"
      />
    </Box>
  )
}
