import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useSyncExternalStore } from 'react'
import type { DeskCamera } from '../../shared/api/types'
import { holdEnd } from './holdEnd'
import { centred } from './messages'
import { limitsOf } from './limits'
import type { PositionStore } from './positions'
import { usePosition } from './positions'
import type { StickStore } from './stickStore'

interface Props {
  readonly stick: StickStore
  readonly camera: DeskCamera | undefined
  readonly positions: PositionStore
}

/** Keeps the present push without a hand on the stick, and says where that ends. */
export function HoldSteady({ stick, camera, positions }: Props) {
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
        {kept && camera && <Where camera={camera} positions={positions} />}
      </Box>
    </Box>
  )
}

function Where({ camera, positions }: { readonly camera: DeskCamera; readonly positions: PositionStore }) {
  const position = usePosition(positions)
  if (!position) return null
  const end = holdEnd(position, limitsOf(camera))
  const speed = `${Math.hypot(position.panPerSecond, position.tiltPerSecond).toFixed(1)} °/s`
  return end
    ? `Steady at ${speed}. At its limit in ${end.seconds.toFixed(0)} s: pan ${end.pan.toFixed(0)}°, tilt ${end.tilt.toFixed(0)}°.`
    : 'Steady.'
}

/** The key for it: keeps the push there is, or ends the steady move. */
export function toggleKept(stick: StickStore): void {
  if (stick.kept()) stick.centre()
  else if (!centred(stick.now())) stick.keep()
}
