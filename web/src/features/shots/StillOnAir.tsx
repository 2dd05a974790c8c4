import Button from '@mui/material/Button'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import { put, sentence } from '../../shared/api/client'
import type { ShotList, ShotRun } from '../../shared/api/types'
import { Trouble } from '../../shared/ui/Trouble'
import { runKey } from './useShots'

interface Props {
  readonly job: number
  readonly list: ShotList
  readonly view: ShotRun
  readonly may: boolean
}

/** The list is no longer run, and its last camera still counts as on air: nothing moves it unasked. */
export function StillOnAir({ job, list, view, may }: Props) {
  const queries = useQueryClient()
  const take = useMutation({
    mutationFn: (device: number) => put<void>(`/api/jobs/${job}/desk/${device}/air`, { onAir: false }),
    onSuccess: () => queries.invalidateQueries({ queryKey: runKey(job) }),
  })
  const device = view.onAirDevice
  if (device === null || !view.stillOnAir) return null
  const camera = list.takes.find((t) => t.device === device)?.camera
  return (
    <div role="status">
      {camera} is still marked on air.{' '}
      {may && (
        <Button variant="outlined" size="small" disabled={take.isPending} onClick={() => take.mutate(device)}>
          Take {camera} off air
        </Button>
      )}
      {take.error && <Trouble>{sentence(take.error)}</Trouble>}
    </div>
  )
}
