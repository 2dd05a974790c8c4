import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { get, post } from '../../shared/api/client'
import { jobKeys } from '../../shared/api/job'
import { showAnswer } from '../../shared/api/showAnswer'
import type { AsFoundBody, DiscoveryView, ProveView } from '../../shared/api/types'

/** While something is under way the page looks this often; the live stream tells of steps too. */
const LOOK_MILLIS = 1000

/** What was found of the devices, and both ways to find out more: asking them, and looking for them. */
export function useAsFound(job: number) {
  const queries = useQueryClient()
  const path = `/api/jobs/${job}`
  const runKey = [...jobKeys.standings(job), 'run'] as const
  const found = useQuery({
    queryKey: jobKeys.asFound(job),
    queryFn: () => get<AsFoundBody[]>(`${path}/as-found`),
  })
  const asking = useQuery({
    queryKey: runKey,
    queryFn: () => get<ProveView>(`${path}/prove`),
    refetchInterval: (q) => (q.state.data?.state === 'running' ? LOOK_MILLIS : false),
  })
  const look = useQuery({
    queryKey: jobKeys.discovery(job),
    queryFn: () => get<DiscoveryView>(`${path}/discovery`),
    refetchInterval: (q) => (q.state.data?.state === 'running' ? LOOK_MILLIS : false),
  })
  const showRun = (view: ProveView) => showAnswer(queries, runKey, view)
  const showLook = (view: DiscoveryView) => showAnswer(queries, jobKeys.discovery(job), view)
  const ask = useMutation({
    mutationFn: () => post<ProveView>(`${path}/prove/ask`, { devices: [] }),
    onSuccess: showRun,
  })
  const endAsking = useMutation({
    mutationFn: () => post<ProveView>(`${path}/prove/cancel`),
    onSuccess: showRun,
  })
  const start = useMutation({
    mutationFn: (it: { subnets: readonly string[]; confirmed: boolean }) =>
      post<DiscoveryView>(`${path}/discovery/start`, it),
    onSuccess: showLook,
  })
  const endLook = useMutation({
    mutationFn: () => post<DiscoveryView>(`${path}/discovery/cancel`),
    onSuccess: showLook,
  })
  return { found, asking, look, ask, endAsking, start, endLook }
}
