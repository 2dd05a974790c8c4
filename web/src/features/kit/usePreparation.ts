import { useQuery } from '@tanstack/react-query'
import { get } from '../../shared/api/client'
import { jobKeys } from '../../shared/api/job'
import type { PrepTask } from '../../shared/api/types'

/** The before-the-van-leaves list as the kit stands now. */
export const usePreparation = (job: number) =>
  useQuery({
    queryKey: jobKeys.preparation(job),
    queryFn: () => get<PrepTask[]>(`/api/jobs/${job}/preparation`),
  })
