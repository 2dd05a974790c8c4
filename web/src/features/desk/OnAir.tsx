import Button from '@mui/material/Button'
import { useMutation } from '@tanstack/react-query'
import { memo } from 'react'
import { put } from '../../shared/api/client'
import type { DeskCamera, Job } from '../../shared/api/types'

interface Props {
  readonly job: Job
  readonly camera: DeskCamera | undefined
}

/** Says by hand that a camera's picture goes out, or no longer; everybody's desks show it. */
export const OnAir = memo(function OnAir({ job, camera }: Props) {
  const say = useMutation({
    mutationFn: (onAir: boolean) => put<void>(`/api/jobs/${job.id}/desk/${camera?.id}/air`, { onAir }),
  })
  const on = camera?.onAir === true
  return (
    <Button
      variant={on ? 'contained' : 'outlined'}
      aria-pressed={on}
      disabled={!camera || say.isPending}
      onClick={() => say.mutate(!on)}
    >
      {on ? 'Take off air' : 'Put on air'}
    </Button>
  )
})
