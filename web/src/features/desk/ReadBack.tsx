import Box from '@mui/material/Box'
import { memo } from 'react'
import { rights } from '../../shared/api/changes'
import type { DeskCamera, Job } from '../../shared/api/types'
import { useOrientation } from '../told'
import { turnedRound } from './limits'
import type { PositionStore } from './positions'
import { usePosition } from './positions'
import { TurnedAxes } from './TurnedAxes'
import { SoftLimits } from './SoftLimits'
import { WhereItLooks } from './WhereItLooks'
import { counted } from '../../shared/format/counted'

interface Props {
  readonly job: Job
  readonly camera: DeskCamera | undefined
  readonly positions: PositionStore
}

/** Where the camera itself says that it points, in numbers. */
export const ReadBack = memo(function ReadBack({ camera, positions }: Omit<Props, 'job'>) {
  if (!camera) return <p style={{ marginTop: 0 }}>Take a camera: press its key, or click it below.</p>
  if (!camera.tells)
    return <p style={{ marginTop: 0 }}>{camera.name} tells nothing back: look where it points.</p>
  return <Numbers camera={camera} positions={positions} />
})

/** Where it looks inside its limits, and narrower ones that are set here. */
export const Limits = memo(function Limits({ job, camera, positions }: Props) {
  const there = useOrientation(job, camera?.id ?? 0)
  if (!camera?.tells) return null
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', sm: 'minmax(0, 330px) minmax(0, 1fr)' },
        columnGap: 2,
        mt: 1.5,
      }}
    >
      <WhereItLooks camera={turnedRound(camera, there)} positions={positions} />
      {rights(job).drive && (
        <div>
          <SoftLimits job={job} camera={camera} positions={positions} />
          <TurnedAxes job={job} camera={camera} />
        </div>
      )}
    </Box>
  )
})

const counts = (of: number) => counted(of, 'count', 'counts')

/** These alone are drawn anew while it moves. */
function Numbers({ camera, positions }: { readonly camera: DeskCamera; readonly positions: PositionStore }) {
  const position = usePosition(positions)
  if (!position) return <p>Asking {camera.name} where it points …</p>
  const more = [
    ...(position.rollDegrees === null
      ? []
      : [['Roll', `${position.rollDegrees.toFixed(1)}°`, 'clockwise, as it sees'] as const]),
    ...(position.railMetres === null
      ? []
      : [['Rail', `${position.railMetres.toFixed(2)} m`, 'from its start'] as const]),
  ]
  const values = [
    ['Pan', `${position.panDegrees.toFixed(1)}°`, counts(position.panCounts)],
    ['Tilt', `${position.tiltDegrees.toFixed(1)}°`, counts(position.tiltCounts)],
    ['Zoom', `${Math.round(position.zoom * 100)} %`, counts(position.zoomCounts)],
    ['View', `${position.angleDegrees.toFixed(1)}°`, 'wide, by the lens'],
    ...more,
  ] as const
  return (
    <div>
      <Box
        sx={{ display: 'grid', gridTemplateColumns: { xs: 'repeat(2, 1fr)', sm: '1fr' }, gap: 0.75 }}
        aria-label="Position read from the camera"
      >
        {values.map(([name, value, from]) => (
          <Box key={name} data-reading={name}>
            <Box component="span" sx={{ color: 'text.secondary' }}>
              {name}
            </Box>{' '}
            <Box component="span" className="mono" sx={{ fontSize: '1.25rem' }}>
              {value}
            </Box>
            <Box sx={{ color: 'text.secondary', fontSize: '0.86rem' }}>{from}</Box>
          </Box>
        ))}
      </Box>
      <Box sx={{ color: 'text.secondary', fontSize: '0.88rem', mt: 1 }}>
        Read from {camera.name}, at most ten times a second
      </Box>
    </div>
  )
}
