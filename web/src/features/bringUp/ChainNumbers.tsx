import { useQuery } from '@tanstack/react-query'
import { get } from '../../shared/api/client'
import type { Desk, Job } from '../../shared/api/types'
import { NumberChain } from '../../shared/ui/NumberChain'

interface Props {
  readonly job: Job
  readonly device: number
}

/** Cameras that have lost their numbers answer nobody until a lead numbers their chain again. */
export function ChainNumbers({ job, device }: Props) {
  const lead = job.role === 'lead'
  const desk = useQuery({
    queryKey: ['desk', job.id, job.version],
    queryFn: () => get<Desk>(`/api/jobs/${job.id}/desk`),
    enabled: lead,
  })
  return lead && desk.data?.cameras.find((c) => c.id === device)?.chained ? (
    <NumberChain job={job.id} device={device} />
  ) : null
}
