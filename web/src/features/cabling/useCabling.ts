import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { get } from '../../shared/api/client'
import { jobKeys } from '../../shared/api/job'
import type { CablingView, Job, MaterialsView, RunDetail } from '../../shared/api/types'

const path = (job: Job) => `/api/jobs/${job.id}/cabling`

/** The drawing and the runs as they are in this version of the job. */
export const useCabling = (job: Job) =>
  useQuery({
    queryKey: [...jobKeys.cabling(job.id), job.version],
    queryFn: () => get<CablingView>(path(job)),
    placeholderData: keepPreviousData,
  })

export const useRun = (job: Job, run: number) =>
  useQuery({
    queryKey: [...jobKeys.cabling(job.id), 'run', run, job.version],
    queryFn: () => get<RunDetail>(`${path(job)}/runs/${run}`),
    placeholderData: keepPreviousData,
  })

export const useMaterials = (job: Job) =>
  useQuery({
    queryKey: [...jobKeys.cabling(job.id), 'materials', job.version],
    queryFn: () => get<MaterialsView>(`${path(job)}/materials`),
    placeholderData: keepPreviousData,
  })
