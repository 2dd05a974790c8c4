import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useRef } from 'react'
import type { ReactNode } from 'react'
import type { Stick } from './messages'
import type { Hold, StickStore } from './stickStore'

/** Buttons that zoom and focus while they are held. */
export function LensLevers({ stick }: { readonly stick: StickStore }) {
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
    </Box>
  )
}

interface HeldProps {
  readonly stick: StickStore
  readonly push: Partial<Stick>
  readonly label: string
  readonly children: ReactNode
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
      aria-label={label}
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
