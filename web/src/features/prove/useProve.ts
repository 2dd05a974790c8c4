import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { get, post, upload } from '../../shared/api/client'
import { jobKeys } from '../../shared/api/job'
import { newKey } from '../../shared/api/newKey'
import { lookSoon } from '../../shared/api/lookSoon'
import { showAnswer } from '../../shared/api/showAnswer'
import type { LeftView, ObservationPage, ProveView, Standing } from '../../shared/api/types'

/** While tests run, the page looks this often; the live stream tells of every test too. */
const LOOK_MILLIS = 1500

export interface Start {
  readonly lines: readonly number[]
  readonly tests: readonly string[]
  readonly clear: boolean
}

/** What a person saw. */
export interface Sight {
  readonly device: number
  readonly what: string
  readonly outcome: string
  readonly note: string
  readonly photo?: File | undefined
}

export function useProve(job: number) {
  const queries = useQueryClient()
  const path = `/api/jobs/${job}/prove`
  const key = [...jobKeys.standings(job), 'run'] as const
  const standings = useQuery({
    queryKey: jobKeys.standings(job),
    queryFn: () => get<Standing[]>(`/api/jobs/${job}/standings`),
  })
  const run = useQuery({
    queryKey: key,
    queryFn: () => get<ProveView>(path),
    refetchInterval: (q) => (q.state.data?.state === 'running' ? LOOK_MILLIS : false),
  })
  const left = useQuery({
    queryKey: [...jobKeys.standings(job), 'left'],
    queryFn: () => get<LeftView>(`${path}/left`),
  })
  const show = (view: ProveView) => showAnswer(queries, key, view)
  const anew = () =>
    lookSoon(queries, [
      { queryKey: jobKeys.standings(job) },
      { queryKey: jobKeys.observations(job) },
      { queryKey: jobKeys.one(job), exact: true },
    ])
  const start = useMutation({
    mutationFn: (it: Start) => post<ProveView>(`${path}/start`, it),
    onSuccess: show,
  })
  const cancel = useMutation({ mutationFn: () => post<ProveView>(`${path}/cancel`), onSuccess: show })
  const putBack = useMutation({ mutationFn: () => post<ProveView>(`${path}/put-back`), onSuccess: show })
  const stopAll = useMutation({ mutationFn: () => post<void>(`${path}/stop-all`), onSuccess: anew })
  const see = useMutation({
    mutationFn: (it: Sight) => {
      const body = new FormData()
      for (const name of ['device', 'what', 'outcome', 'note'] as const) body.set(name, String(it[name]))
      if (it.photo) body.set('photo', it.photo)
      return upload<void>(`/api/jobs/${job}/observations`, body, () => undefined, {
        'Idempotency-Key': newKey(),
      }).done
    },
    onSuccess: anew,
  })
  const happened = useMutation({
    mutationFn: (it: { deviceId: number; what: string; note: string }) =>
      post<void>(`/api/jobs/${job}/happenings`, it),
    onSuccess: anew,
  })
  return { standings, run, left, start, cancel, putBack, stopAll, see, happened }
}

/** What was done behind one mark, newest first. */
export const useObservations = (job: number, line: number, what: string) =>
  useQuery({
    queryKey: [...jobKeys.observations(job), line, what],
    queryFn: () => get<ObservationPage>(`/api/jobs/${job}/observations?line=${line}&what=${what}&limit=20`),
  })
