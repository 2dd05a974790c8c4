import Box from '@mui/material/Box'
import { useTheme } from '@mui/material/styles'
import { memo, useRef, useState } from 'react'
import type { PointerEvent } from 'react'
import type { Feel } from '../../shared/api/types'
import type { Hold, StickStore } from './stickStore'

const SIZE = 240
const REACH = 100

interface Props {
  readonly feel: Feel
  readonly limit: number
  readonly stick: StickStore
}

/** A large surface to push with finger or pointer; let go and it springs back. The law's curve lies under it. */
export const StickSurface = memo(function StickSurface({ feel, limit, stick }: Props) {
  const { palette } = useTheme()
  const [at, setAt] = useState({ x: 0, y: 0 })
  const hold = useRef<Hold>(undefined)
  const begun = useRef(0)
  const move = (event: PointerEvent<SVGSVGElement>) => {
    if (!hold.current || !event.currentTarget.hasPointerCapture(event.pointerId)) return
    // Everything was centred meanwhile: this hold is over, whatever the finger does.
    if (begun.current !== stick.generation()) return release()
    const box = event.currentTarget.getBoundingClientRect()
    const scale = SIZE / box.width
    let x = ((event.clientX - box.left) * scale - SIZE / 2) / REACH
    let y = ((event.clientY - box.top) * scale - SIZE / 2) / REACH
    const far = Math.hypot(x, y)
    if (far > 1) [x, y] = [x / far, y / far]
    setAt({ x, y })
    hold.current.push({ pan: x, tilt: -y })
  }
  const release = () => {
    setAt({ x: 0, y: 0 })
    hold.current?.release()
    hold.current = undefined
  }
  const far = Math.min(1, Math.hypot(at.x, at.y))
  return (
    <Box sx={{ width: SIZE }}>
      <svg
        viewBox={`0 0 ${SIZE} ${SIZE}`}
        width="100%"
        role="application"
        aria-label="Stick: drag to drive, arrow keys do the same"
        style={{ touchAction: 'none', cursor: 'grab' }}
        onPointerDown={(e) => {
          e.currentTarget.setPointerCapture(e.pointerId)
          begun.current = stick.generation()
          hold.current = stick.hold('surface')
          move(e)
        }}
        onPointerMove={move}
        onPointerUp={release}
        onPointerCancel={release}
        onLostPointerCapture={release}
      >
        <rect
          x="2"
          y="2"
          width={SIZE - 4}
          height={SIZE - 4}
          rx="26"
          fill={palette.background.default}
          stroke={palette.divider}
          strokeWidth="2"
        />
        <line x1={SIZE / 2} x2={SIZE / 2} y1="14" y2={SIZE - 14} stroke={palette.divider} />
        <line x1="14" x2={SIZE - 14} y1={SIZE / 2} y2={SIZE / 2} stroke={palette.divider} />
        <circle
          cx={SIZE / 2}
          cy={SIZE / 2}
          r={Math.max(4, feel.deadZone * REACH)}
          fill="none"
          stroke={palette.text.secondary}
          strokeDasharray="3 3"
        />
        <line
          x1={SIZE / 2}
          y1={SIZE / 2}
          x2={SIZE / 2 + at.x * REACH}
          y2={SIZE / 2 + at.y * REACH}
          stroke={palette.primary.main}
          strokeWidth="3"
        />
        <circle
          cx={SIZE / 2 + at.x * REACH}
          cy={SIZE / 2 + at.y * REACH}
          r="22"
          fill={palette.primary.main}
        />
      </svg>
      <Law feel={feel} limit={limit} far={far} />
    </Box>
  )
})

/** Deflection to speed as the core works it out, with where the stick is now. */
function Law({ feel, limit, far }: { readonly feel: Feel; readonly limit: number; readonly far: number }) {
  const { palette } = useTheme()
  const w = SIZE
  const h = 54
  const x = (d: number) => 8 + d * (w - 16)
  const y = (s: number) => h - 6 - s * limit * feel.pan * (h - 12)
  const points = feel.curve.map((s, i) => `${x(i / (feel.curve.length - 1))},${y(s)}`).join(' ')
  const here = feel.curve[Math.round(far * (feel.curve.length - 1))] ?? 0
  return (
    <>
      <svg
        viewBox={`0 0 ${w} ${h}`}
        width="100%"
        role="img"
        aria-label="Law of the stick: speed over deflection"
      >
        <line x1="8" x2={w - 8} y1={h - 6} y2={h - 6} stroke={palette.divider} />
        <polyline points={points} fill="none" stroke={palette.secondary.main} strokeWidth="2.5" />
        <circle cx={x(far)} cy={y(here)} r="5" fill={palette.primary.main} />
      </svg>
      <Box sx={{ color: 'text.secondary', fontSize: '0.86rem' }}>
        {feel.k === 0 ? 'Linear law' : `Progressive law, k = ${feel.k}`}, dead zone{' '}
        {Math.round(feel.deadZone * 100)} %
      </Box>
    </>
  )
}
