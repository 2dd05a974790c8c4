import { useTheme } from '@mui/material/styles'
import type { Head, HeadPart } from '../../shared/api/types'

const WIDTH = 520
const HEIGHT = 190
const AXIS = { x: 200, y: 92 }
const SLIDE = 150

/**
 * The slide from the side: parts where their centres of mass are, the tilt axis, the common centre,
 * and how far the plate can go.
 */
export function BalanceDrawing({ head }: { readonly head: Head }) {
  const { palette } = useTheme()
  const parts = head.parts.filter((p) => p.along !== '')
  const along = head.sums.balances.find((b) => b.state === 'along')
  if (parts.length === 0 || !along) return null
  const height = head.sums.balances.find((b) => b.state === 'height')
  const zoomed = head.sums.balances.find((b) => b.state === 'along, zoomed')
  const travel = Number(head.texts.plateTravel ?? '') || 0
  const far = Math.max(
    60,
    travel,
    ...parts.flatMap((p) => [Math.abs(num(p.along)), Math.abs(num(p.alongZoomed))]),
  )
  const scale = (AXIS.x - 60) / far
  const x = (mm: number) => AXIS.x + mm * scale
  const y = (mm: number) =>
    AXIS.y - mm * Math.min(scale, 60 / Math.max(60, ...parts.map((p) => Math.abs(num(p.above)))))
  const fine = (zoomed ? zoomed.withinTravel : true) && along.withinTravel
  const colour = travel > 0 && !fine ? palette.error.main : palette.primary.main
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      width="100%"
      role="img"
      aria-label={`Centre of mass ${mm(along.centreMm)} from the tilt axis; move the plate by ${mm(along.shiftMm)}`}
      style={{ color: palette.text.primary }}
    >
      <g stroke="currentColor" fill="none">
        <line x1={20} x2={WIDTH - 20} y1={SLIDE} y2={SLIDE} strokeWidth={2} />
        <line x1={AXIS.x} x2={AXIS.x} y1={20} y2={SLIDE} strokeDasharray="4 4" />
        <circle cx={AXIS.x} cy={AXIS.y} r={7} />
      </g>
      {travel > 0 && (
        <rect
          x={x(-travel)}
          y={SLIDE}
          width={2 * travel * scale}
          height={7}
          fill={palette.secondary.main}
          opacity={0.6}
        />
      )}
      {parts.map((p) => (
        <Part key={p.id} part={p} x={x(num(p.along))} y={y(num(p.above))} />
      ))}
      {zoomed && <Centre x={x(zoomed.centreMm)} y={y(height?.centreMm ?? 0)} colour={colour} word="zoomed" />}
      <Centre x={x(along.centreMm)} y={y(height?.centreMm ?? 0)} colour={colour} word="" />
      <g fill="currentColor" fontSize={13}>
        <text x={AXIS.x + 10} y={32}>
          tilt axis
        </text>
        <text x={WIDTH - 20} y={SLIDE + 26} textAnchor="end">
          front
        </text>
        {travel > 0 && (
          <text x={x(-travel)} y={SLIDE + 26}>
            plate ± {travel} mm
          </text>
        )}
      </g>
    </svg>
  )
}

const num = (text: string) => Number(text) || 0
const mm = (value: number) => `${Math.round(value * 10) / 10} mm`

interface PartProps {
  readonly part: HeadPart
  readonly x: number
  readonly y: number
}

/** A part as a box whose area goes with its mass. */
function Part({ part, x, y }: PartProps) {
  const side = Math.max(14, Math.min(54, Math.sqrt(part.grams)))
  return (
    <g>
      <rect
        x={x - side / 2}
        y={y - side / 2}
        width={side}
        height={side}
        rx={3}
        fill="currentColor"
        fillOpacity={0.08}
        stroke="currentColor"
      />
      <text
        x={x}
        y={num(part.above) < 0 ? y + side / 2 + 13 : y - side / 2 - 4}
        fontSize={12}
        textAnchor="middle"
        fill="currentColor"
      >
        {part.name}
      </text>
    </g>
  )
}

interface CentreProps {
  readonly x: number
  readonly y: number
  readonly colour: string
  readonly word: string
}

function Centre({ x, y, colour, word }: CentreProps) {
  return (
    <g stroke={colour} strokeWidth={2}>
      <line x1={x - 9} x2={x + 9} y1={y} y2={y} />
      <line x1={x} x2={x} y1={y - 9} y2={y + 9} />
      {word && (
        <text x={x + 8} y={y + 22} fontSize={12} fill={colour} stroke="none">
          {word}
        </text>
      )}
    </g>
  )
}
