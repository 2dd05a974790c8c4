import { useQuery } from '@tanstack/react-query'
import { get } from './client'
import { jobKeys } from './job'
import type { World } from './types'

/** Which world commands go to, and how this machine stands in it. */
export const useWorld = (job: number) =>
  useQuery({
    queryKey: jobKeys.world(job),
    queryFn: () => get<World>(`/api/jobs/${job}/world`),
    retry: false,
  })
