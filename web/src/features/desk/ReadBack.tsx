import Box from '@mui/material/Box'
import type { DeskCamera } from '../../shared/api/types'
import type { PositionStore } from './positions'
import { usePosition } from './positions'

interface Props {
  readonly camera: DeskCamera | undefined
  readonly positions: PositionStore
}

/** Where the camera itself says that it points. */
export function ReadBack({ camera, positions }: Props) {
  const position = usePosition(positions)
  if (!camera) return <p>Take a camera: press its key number, or click it below.</p>
  if (!camera.tells) return <p>{camera.name} tells nothing back: look where it points.</p>
  if (!position) return <p>Asking {camera.name} where it points …</p>
  const values = [
    ['Pan', `${position.panDegrees.toFixed(1)}°`, `${position.panCounts} counts`],
    ['Tilt', `${position.tiltDegrees.toFixed(1)}°`, `${position.tiltCounts} counts`],
    ['Zoom', `${Math.round(position.zoom * 100)} %`, `${position.zoomCounts} counts`],
    ['View', `${position.angleDegrees.toFixed(1)}°`, 'wide, by the lens'],
  ] as const
  return (
    <Box
      sx={{ display: 'grid', gridTemplateColumns: 'repeat(4, 1fr)', gap: 1, mt: 1 }}
      aria-label="Position read from the camera"
    >
      {values.map(([name, value, from]) => (
        <Box key={name} data-reading={name}>
          <Box sx={{ color: 'text.secondary' }}>{name}</Box>
          <Box className="mono" sx={{ fontSize: '1.35rem' }}>
            {value}
          </Box>
          <Box sx={{ color: 'text.secondary', fontSize: '0.86rem' }}>{from}</Box>
        </Box>
      ))}
      <Box sx={{ gridColumn: '1 / -1', color: 'text.secondary', fontSize: '0.88rem' }}>
        Read from {camera.name}, at most ten times a second
      </Box>
    </Box>
  )
}
