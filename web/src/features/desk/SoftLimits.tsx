import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useMutation } from '@tanstack/react-query'
import { put, sentence } from '../../shared/api/client'
import type { DeskCamera, Job } from '../../shared/api/types'
import { Trouble } from '../../shared/ui/Trouble'
import type { PositionStore } from './positions'

type Soft = DeskCamera['soft']

const SIDES = [
  { side: 'panLeft', word: 'left' },
  { side: 'panRight', word: 'right' },
  { side: 'tiltDown', word: 'down' },
  { side: 'tiltUp', word: 'up' },
] as const

const NONE: Soft = { panLeft: null, panRight: null, tiltDown: null, tiltUp: null }

/** The limits that are set, in words; empty for none. */
export function softWords(soft: Soft): string {
  return SIDES.filter(({ side }) => soft[side] !== null)
    .map(({ side, word }) => `${word} ${soft[side]?.toFixed(1)}°`)
    .join(', ')
}

interface Props {
  readonly job: Job
  readonly camera: DeskCamera
  readonly positions: PositionStore
}

/** Between which places it is to point, whoever drives it: each side is set where it points now. */
export function SoftLimits({ job, camera, positions }: Props) {
  const set = useMutation({
    mutationFn: (to: Soft) => put<void>(`/api/jobs/${job.id}/desk/${camera.id}/limits`, to),
  })
  const here = (side: keyof Soft) => {
    const at = positions.now()
    if (!at) return
    const degrees = side === 'panLeft' || side === 'panRight' ? at.panDegrees : at.tiltDegrees
    set.mutate({ ...camera.soft, [side]: Math.round(degrees * 10) / 10 })
  }
  const words = softWords(camera.soft)
  return (
    <Box role="group" aria-label="Soft limits" sx={{ fontSize: '0.92rem' }}>
      <Box>
        {words
          ? `Soft limits: ${words}. It slows down before them.`
          : 'No soft limits. Set one where it points now:'}
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5, mt: 0.5 }}>
        {SIDES.map(({ side, word }) => (
          <Button
            key={side}
            size="small"
            variant="outlined"
            disabled={set.isPending}
            aria-label={`Soft limit ${word} here`}
            onClick={() => here(side)}
          >
            {word}
          </Button>
        ))}
        {words && (
          <Button size="small" disabled={set.isPending} onClick={() => set.mutate(NONE)}>
            None
          </Button>
        )}
      </Box>
      {set.error && <Trouble>{sentence(set.error)}</Trouble>}
    </Box>
  )
}
