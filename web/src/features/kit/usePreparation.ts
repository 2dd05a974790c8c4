import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { get } from '../../shared/api/client'
import { jobKeys } from '../../shared/api/job'
import type { Job, PrepTask } from '../../shared/api/types'

/** The before-the-van-leaves list as the kit stands in this version of the job. */
export const usePreparation = (job: Job) =>
  useQuery({
    queryKey: [...jobKeys.preparation(job.id), job.version],
    queryFn: () => get<PrepTask[]>(`/api/jobs/${job.id}/preparation`),
    placeholderData: keepPreviousData,
  })
