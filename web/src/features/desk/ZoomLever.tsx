import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useRef } from 'react'
import type { ReactNode } from 'react'
import type { Hold, StickStore } from './stickStore'

/** Two buttons that zoom while they are held. */
export function ZoomLever({ stick }: { readonly stick: StickStore }) {
  return (
    <Box sx={{ display: 'grid', gap: 1, alignContent: 'start' }}>
      <HeldButton stick={stick} zoom={1} label="Zoom in while held">
        + tele
      </HeldButton>
      <HeldButton stick={stick} zoom={-1} label="Zoom out while held">
        − wide
      </HeldButton>
    </Box>
  )
}

interface HeldProps {
  readonly stick: StickStore
  readonly zoom: number
  readonly label: string
  readonly children: ReactNode
}

function HeldButton({ stick, zoom, label, children }: HeldProps) {
  const held = useRef<Hold>(undefined)
  const release = () => {
    held.current?.release()
    held.current = undefined
  }
  return (
    <Button
      variant="outlined"
      sx={{ height: 84, touchAction: 'none' }}
      aria-label={label}
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId)
        held.current = stick.hold('lever')
        held.current.push({ zoom })
      }}
      onPointerUp={release}
      onPointerCancel={release}
      onLostPointerCapture={release}
    >
      {children}
    </Button>
  )
}
