import Box from '@mui/material/Box'
import type { DeskCamera } from '../../shared/api/types'
import { limitsOf } from './limits'
import type { PositionStore } from './positions'
import { usePosition } from './positions'

const WIDTH = 330
/** Room for the numbers that stand outside. */
const ROOM = { left: 34, right: 34, top: 4, bottom: 18 }
/** A picture is so much lower than wide. */
const LOW = 9 / 16

interface Props {
  readonly camera: DeskCamera
  readonly positions: PositionStore
}

/** Where the camera looks inside its limits: pan to the right, tilt upwards, one scale for both. */
export function WhereItLooks({ camera, positions }: Props) {
  const position = usePosition(positions)
  const { panLeft, panRight, tiltDown, tiltUp } = camera.limits
  const scale = (WIDTH - ROOM.left - ROOM.right) / (panRight - panLeft)
  const height = (tiltUp - tiltDown) * scale
  const x = (pan: number) => ROOM.left + (pan - panLeft) * scale
  const y = (tilt: number) => ROOM.top + (tiltUp - tilt) * scale
  const soft = limitsOf(camera)
  const { panLeft: left, panRight: right, tiltDown: down, tiltUp: up } = camera.soft
  const set = [left, right, down, up].some((v) => v !== null)
  const wide = position?.angleDegrees ?? 0
  return (
    <Box
      component="svg"
      role="img"
      aria-label={`Where ${camera.name} looks, inside pan ${panLeft}° to ${panRight}° and tilt ${tiltDown}° to ${tiltUp}°`}
      viewBox={`0 0 ${WIDTH} ${height + ROOM.top + ROOM.bottom}`}
      sx={{ width: 1, maxWidth: WIDTH, display: 'block', fontSize: 12.5, '& text': { fill: 'currentColor' } }}
    >
      <rect
        x={x(panLeft)}
        y={y(tiltUp)}
        width={(panRight - panLeft) * scale}
        height={height}
        fill="none"
        stroke="currentColor"
        strokeWidth={1.5}
      />
      <line x1={x(0)} x2={x(0)} y1={y(tiltUp)} y2={y(tiltDown)} stroke="currentColor" opacity={0.35} />
      <line x1={x(panLeft)} x2={x(panRight)} y1={y(0)} y2={y(0)} stroke="currentColor" opacity={0.35} />
      {set && (
        <rect
          x={x(soft.panLeft)}
          y={y(soft.tiltUp)}
          width={Math.max(0, (soft.panRight - soft.panLeft) * scale)}
          height={Math.max(0, (soft.tiltUp - soft.tiltDown) * scale)}
          fill="none"
          stroke="currentColor"
          strokeWidth={2}
          strokeDasharray="5 4"
          data-soft=""
        />
      )}
      {position && (
        <Box component="g" sx={{ color: 'primary.main' }} data-looks="">
          <rect
            x={x(position.panDegrees - wide / 2)}
            y={y(position.tiltDegrees + (wide * LOW) / 2)}
            width={Math.max(3, wide * scale)}
            height={Math.max(2, wide * LOW * scale)}
            fill="currentColor"
            fillOpacity={0.3}
            stroke="currentColor"
            strokeWidth={2}
          />
          <circle cx={x(position.panDegrees)} cy={y(position.tiltDegrees)} r={2.5} fill="currentColor" />
        </Box>
      )}
      <text x={x(panLeft) - 4} y={y(tiltUp) + 11} textAnchor="end">
        {tiltUp}°
      </text>
      <text x={x(panLeft) - 4} y={y(tiltDown)} textAnchor="end">
        {tiltDown}°
      </text>
      <text x={x(panLeft)} y={height + ROOM.top + 14} textAnchor="middle">
        {panLeft}°
      </text>
      <text x={x(0)} y={height + ROOM.top + 14} textAnchor="middle">
        0°
      </text>
      <text x={x(panRight)} y={height + ROOM.top + 14} textAnchor="middle">
        {panRight}°
      </text>
    </Box>
  )
}
