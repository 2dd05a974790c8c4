import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { memo, useSyncExternalStore } from 'react'
import type { DeskCamera, Job } from '../../shared/api/types'
import { useOrientation } from '../told'
import { holdEnd, speedWords } from './holdEnd'
import { centred } from './messages'
import { limitsOf, turnedRound } from './limits'
import type { PositionStore } from './positions'
import { usePosition } from './positions'
import type { StickStore } from './stickStore'

interface Props {
  readonly job: Job
  readonly stick: StickStore
  readonly camera: DeskCamera | undefined
  readonly positions: PositionStore
}

/** Keeps the present push without a hand on the stick, and says where that ends. */
export const HoldSteady = memo(function HoldSteady({ job, stick, camera, positions }: Props) {
  const there = useOrientation(job, camera?.id ?? 0)
  const kept = useSyncExternalStore(stick.listenKept, stick.kept)
  const pushed = useSyncExternalStore(stick.listenKept, stick.pushed)
  return (
    <Box>
      <Button
        variant={kept ? 'contained' : 'outlined'}
        aria-pressed={kept}
        disabled={!camera || (!kept && !pushed)}
        onPointerDown={() => (kept ? stick.centre() : stick.keep())}
      >
        {kept ? 'End the steady move (h)' : 'Hold this push (h)'}
      </Button>
      <Box role="status" sx={{ fontSize: '0.92rem', minHeight: 22, mt: 0.5 }}>
        {kept && camera && <Where camera={turnedRound(camera, there)} positions={positions} />}
      </Box>
    </Box>
  )
})

function Where({ camera, positions }: { readonly camera: DeskCamera; readonly positions: PositionStore }) {
  const position = usePosition(positions)
  if (!position) return null
  const end = holdEnd(position, { ...camera.limits, ...limitsOf(camera) })
  return end
    ? `Steady at ${speedWords(position)}. At its limit in ${end.seconds.toFixed(0)} s: ${end.places.join(', ')}.`
    : 'Steady.'
}

/** The key for it: keeps the push there is, or ends the steady move. */
export function toggleKept(stick: StickStore): void {
  if (stick.kept()) stick.centre()
  else if (!centred(stick.now())) stick.keep()
}
