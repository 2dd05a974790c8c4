import { useInfiniteQuery } from '@tanstack/react-query'
import { get } from '../../shared/api/client'
import { jobKeys } from '../../shared/api/job'
import type { LogPage } from '../../shared/api/types'

/** Which lines are wanted; empty texts and 0 for any. */
export interface LogFilter {
  readonly device: number
  readonly person: string
  readonly kind: string
  /** As yyyy-mm-dd, in this machine's zone. */
  readonly day: string
}

export const ANY: LogFilter = { device: 0, person: '', kind: '', day: '' }

/** The logbook by filter, newest first, older pages on demand. */
export function useLogbook(job: number, filter: LogFilter) {
  return useInfiniteQuery({
    queryKey: [...jobKeys.log(job), filter],
    initialPageParam: 0,
    queryFn: ({ pageParam }) => {
      const zone = Intl.DateTimeFormat().resolvedOptions().timeZone
      const query = new URLSearchParams({
        ...filter,
        device: String(filter.device),
        zone,
        before: String(pageParam),
      })
      return get<LogPage>(`/api/jobs/${job}/log?${query.toString()}`)
    },
    getNextPageParam: (last) => (last.more ? last.entries.at(-1)?.id : undefined),
  })
}
