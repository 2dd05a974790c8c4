import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useMutation } from '@tanstack/react-query'
import { memo } from 'react'
import { post, sentence } from '../../shared/api/client'
import type { DeskCamera, Job } from '../../shared/api/types'
import { Trouble } from '../../shared/ui/Trouble'

interface Props {
  readonly job: Job
  readonly camera: DeskCamera
  readonly cameras: readonly DeskCamera[]
  /** It was pushed and not moved. */
  readonly refused: boolean
  /** Its driver said that it may move on air. */
  readonly allowed: boolean
  readonly onAllow: () => void
}

/** What must be said before the head moves; nothing when all was said. */
export const MoveGate = memo(function MoveGate({ job, camera, cameras, refused, allowed, onAllow }: Props) {
  const say = useMutation({
    mutationFn: (devices: readonly number[]) =>
      post<void>(`/api/jobs/${job.id}/desk/clear`, { devices, clear: true }),
  })
  if (camera.clear && (!camera.onAir || allowed)) return null
  const others = cameras.filter((c) => !c.clear && c.cannot === '')
  return (
    <Box
      role={refused ? 'alert' : 'group'}
      aria-label="Before it moves"
      sx={{
        border: 2,
        borderColor: refused ? 'primary.main' : 'divider',
        borderRadius: 1,
        p: 1.25,
        display: 'grid',
        gap: 1,
      }}
    >
      {camera.clear ? (
        <>
          <b>
            {refused ? 'Not moved: ' : ''}
            {camera.tally === 'not-known'
              ? `whether ${camera.name} is on air is not known.`
              : `${camera.name} is on air.`}
          </b>
          <Button variant="contained" onClick={onAllow}>
            Let it move on air
          </Button>
        </>
      ) : (
        <>
          <b>
            {refused ? 'Not moved. ' : ''}Is the place of {camera.name} clear?
          </b>
          <span>
            A head starts without warning. Ask somebody who stands there: no hands, no ladder, no lead in its
            way. Asked again after half an hour of rest.
          </span>
          <Button variant="contained" disabled={say.isPending} onClick={() => say.mutate([camera.id])}>
            Clear at {camera.name}
          </Button>
          {others.length > 1 && (
            <Button disabled={say.isPending} onClick={() => say.mutate(others.map((c) => c.id))}>
              Clear at all {others.length} that can be driven
            </Button>
          )}
          {say.error && <Trouble>{sentence(say.error)}</Trouble>}
        </>
      )}
    </Box>
  )
})
