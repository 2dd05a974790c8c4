import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useMutation } from '@tanstack/react-query'
import { put, sentence } from '../../shared/api/client'
import { rights } from '../../shared/api/changes'
import type { DeskCamera, Job } from '../../shared/api/types'
import { Trouble } from '../../shared/ui/Trouble'

interface Props {
  readonly job: Job
  readonly camera: DeskCamera | undefined
  /** It was said: the camera can be taken. */
  readonly onThere: (camera: number) => void
}

/** Several leads come to one socket: whoever stands there says which is in it. */
export function LeadThere({ job, camera, onThere }: Props) {
  const say = useMutation({
    mutationFn: (device: number) => put(`/api/jobs/${job.id}/desk/${device}/lead`, {}),
    onSuccess: (_, device) => onThere(device),
  })
  const lead = camera?.lead
  if (!lead || lead.there) return null
  if (!rights(job).plan) return <Box sx={{ mb: 1 }}>Whoever plans this job can say that it is there.</Box>
  return (
    <Box sx={{ mb: 1 }}>
      <Button variant="contained" disabled={say.isPending} onClick={() => say.mutate(camera.id)}>
        The lead of {camera.name} is on {lead.to} now
      </Button>
      {say.error && <Trouble>{sentence(say.error)}</Trouble>}
    </Box>
  )
}
