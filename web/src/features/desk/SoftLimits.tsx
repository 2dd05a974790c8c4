import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useMutation } from '@tanstack/react-query'
import { useSyncExternalStore } from 'react'
import { put, sentence } from '../../shared/api/client'
import type { DeskCamera, Job } from '../../shared/api/types'
import { Trouble } from '../../shared/ui/Trouble'
import type { Position } from './messages'
import type { PositionStore } from './positions'

type Soft = DeskCamera['soft']

const SIDES = [
  { side: 'panLeft', word: 'left', unit: '°', digits: 1, at: (p: Position) => p.panDegrees },
  { side: 'panRight', word: 'right', unit: '°', digits: 1, at: (p: Position) => p.panDegrees },
  { side: 'tiltDown', word: 'down', unit: '°', digits: 1, at: (p: Position) => p.tiltDegrees },
  { side: 'tiltUp', word: 'up', unit: '°', digits: 1, at: (p: Position) => p.tiltDegrees },
  { side: 'rollLeft', word: 'roll left', unit: '°', digits: 1, at: (p: Position) => p.rollDegrees },
  { side: 'rollRight', word: 'roll right', unit: '°', digits: 1, at: (p: Position) => p.rollDegrees },
  { side: 'railFrom', word: 'rail start', unit: ' m', digits: 2, at: (p: Position) => p.railMetres },
  { side: 'railTo', word: 'rail end', unit: ' m', digits: 2, at: (p: Position) => p.railMetres },
] as const

const NONE: Soft = {
  panLeft: null,
  panRight: null,
  tiltDown: null,
  tiltUp: null,
  rollLeft: null,
  rollRight: null,
  railFrom: null,
  railTo: null,
}

/** The limits that are set, in words; empty for none. */
export function softWords(soft: Soft): string {
  return SIDES.flatMap(({ side, word, unit, digits }) => {
    const at = soft[side]
    return at === null ? [] : [`${word} ${at.toFixed(digits)}${unit}`]
  }).join(', ')
}

const isTold = (place: number | null | undefined) => place !== null && place !== undefined

interface Props {
  readonly job: Job
  readonly camera: DeskCamera
  readonly positions: PositionStore
}

/** Between which places it is to go, whoever drives it: each side is set where it is now. */
export function SoftLimits({ job, camera, positions }: Props) {
  const set = useMutation({
    mutationFn: (to: Soft) => put<void>(`/api/jobs/${job.id}/desk/${camera.id}/limits`, to),
  })
  // Drawn anew when it begins to tell, not when it moves.
  const rolls = useSyncExternalStore(positions.listen, () => isTold(positions.now()?.rollDegrees))
  const runs = useSyncExternalStore(positions.listen, () => isTold(positions.now()?.railMetres))
  const sides = SIDES.filter(
    ({ side }) => (rolls || !side.startsWith('roll')) && (runs || !side.startsWith('rail')),
  )
  const here = ({ side, at, digits }: (typeof SIDES)[number]) => {
    const now = positions.now()
    const place = now && at(now)
    if (place === undefined || place === null) return
    set.mutate({ ...camera.soft, [side]: Number(place.toFixed(digits)) })
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
        {sides.map((s) => (
          <Button
            key={s.side}
            size="small"
            variant="outlined"
            disabled={set.isPending}
            aria-label={`Soft limit ${s.word} here`}
            onClick={() => here(s)}
          >
            {s.word}
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
