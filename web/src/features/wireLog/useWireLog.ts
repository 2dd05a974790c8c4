import { useQuery, useQueryClient } from '@tanstack/react-query'
import { get } from '../../shared/api/client'
import type { HeadHealth, Job, WireFrame, WireView } from '../../shared/api/types'

const FOLLOW_MILLIS = 500
/** What the page keeps: as much as the server keeps of one head. */
const MOST = 1000

interface Read {
  readonly frames: readonly WireFrame[]
  readonly heads: readonly HeadHealth[]
  readonly newest: number
}

/** The frames as they come, while they are followed: what was there first, then only what is new. */
export function useWireLog(job: Job, polling: boolean, following: boolean) {
  const queries = useQueryClient()
  const key = ['job', job.id, 'wire', polling]
  const query = useQuery({
    queryKey: key,
    queryFn: async (): Promise<Read> => {
      const before = queries.getQueryData<Read>(key)
      const after = before?.newest ?? -1
      const view = await get<WireView>(`/api/jobs/${job.id}/wire?polling=${polling}&after=${after}`)
      const frames = [...(before?.frames ?? []), ...view.frames].slice(-MOST)
      return { frames, heads: view.heads, newest: view.newest }
    },
    refetchInterval: following ? FOLLOW_MILLIS : false,
    refetchOnWindowFocus: following,
    gcTime: 0,
  })
  return {
    frames: query.data?.frames ?? [],
    heads: query.data?.heads ?? [],
    error: query.error,
    read: query.isFetched,
  }
}
