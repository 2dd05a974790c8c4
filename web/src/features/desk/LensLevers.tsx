import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { memo, useRef } from 'react'
import type { DeskCamera } from '../../shared/api/types'
import type { Stick } from './messages'
import type { Hold, StickStore } from './stickStore'

interface Props {
  readonly stick: StickStore
  readonly camera: DeskCamera | undefined
}

/** Buttons that zoom, focus, roll and run along a rail while they are held. */
export const LensLevers = memo(function LensLevers({ stick, camera }: Props) {
  return (
    <Box sx={{ display: 'grid', gap: 1, alignContent: 'start' }}>
      <HeldButton stick={stick} push={{ zoom: 1 }} label="Zoom in while held">
        + tele
      </HeldButton>
      <HeldButton stick={stick} push={{ zoom: -1 }} label="Zoom out while held">
        − wide
      </HeldButton>
      <HeldButton stick={stick} push={{ focus: 1 }} label="Focus far while held">
        far (f)
      </HeldButton>
      <HeldButton stick={stick} push={{ focus: -1 }} label="Focus near while held">
        near (n)
      </HeldButton>
      {camera?.limits.roll && (
        <>
          <HeldButton stick={stick} push={{ roll: 1 }} label="Roll clockwise while held">
            roll ↻ (e)
          </HeldButton>
          <HeldButton stick={stick} push={{ roll: -1 }} label="Roll anticlockwise while held">
            roll ↺ (q)
          </HeldButton>
        </>
      )}
      {camera?.limits.rail && (
        <>
          <HeldButton stick={stick} push={{ rail: 1 }} label="Onwards on the rail while held">
            rail → (d)
          </HeldButton>
          <HeldButton stick={stick} push={{ rail: -1 }} label="Back on the rail while held">
            rail ← (a)
          </HeldButton>
        </>
      )}
    </Box>
  )
})

interface HeldProps {
  readonly stick: StickStore
  readonly push: Partial<Stick>
  readonly label: string
  readonly children: string
}

function HeldButton({ stick, push, label, children }: HeldProps) {
  const held = useRef<Hold>(undefined)
  const release = () => {
    held.current?.release()
    held.current = undefined
  }
  return (
    <Button
      variant="outlined"
      sx={{ height: 54, touchAction: 'none' }}
      // What stands on it must be part of its name, for whoever says it aloud.
      aria-label={`${children}: ${label}`}
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId)
        held.current = stick.hold('lever')
        held.current.push(push)
      }}
      onPointerUp={release}
      onPointerCancel={release}
      onLostPointerCapture={release}
    >
      {children}
    </Button>
  )
}
