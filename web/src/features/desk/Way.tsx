import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useMutation, useQuery } from '@tanstack/react-query'
import { memo } from 'react'
import { get, put, sentence } from '../../shared/api/client'
import { rights } from '../../shared/api/changes'
import { jobKeys } from '../../shared/api/job'
import type { DeskCamera, Job, Rig, World } from '../../shared/api/types'
import { Trouble } from '../../shared/ui/Trouble'

interface Props {
  readonly job: Job
  readonly camera: DeskCamera
}

/** How the camera is reached, and what must be done at the leads for it. */
export const Way = memo(function Way({ job, camera }: Props) {
  return (
    <Box sx={{ mt: 0.5, fontSize: '0.92rem' }}>
      Goes out by {camera.way}.{' '}
      {camera.lead?.there && camera.lead.by && `Its lead is there, as ${camera.lead.by} said.`}
      {camera.move && (
        <Box sx={{ fontWeight: 600 }}>
          {camera.move} {rights(job).plan && <MoveInRig job={job} camera={camera} />}
        </Box>
      )}
    </Box>
  )
})

/** The hand for it in the simulated hall; nothing where the job is worked elsewhere. */
function MoveInRig({ job, camera }: Props) {
  const world = useQuery({
    queryKey: jobKeys.world(job.id),
    queryFn: () => get<World>(`/api/jobs/${job.id}/world`),
  })
  const move = useMutation({
    mutationFn: () => put<Rig>(`/api/jobs/${job.id}/rig/devices/${camera.id}/lead`, {}),
  })
  if (world.data?.world !== 'rig') return null
  return (
    <>
      <Button size="small" variant="outlined" onClick={() => move.mutate()} disabled={move.isPending}>
        In the rig: move it
      </Button>
      {move.isSuccess && (
        <Box component="span" role="status" sx={{ ml: 1 }}>
          Moved.
        </Box>
      )}
      {move.error && <Trouble>{sentence(move.error)}</Trouble>}
    </>
  )
}
