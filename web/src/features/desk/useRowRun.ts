import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { get, post } from '../../shared/api/client'
import { showAnswer } from '../../shared/api/showAnswer'
import type { RowRun } from '../../shared/api/types'

const LOOK_MILLIS = 1000

/** The program that goes to each view of a camera: one for each job. */
export function useRowRun(job: number) {
  const queries = useQueryClient()
  const path = `/api/jobs/${job}/presets`
  const key = ['job', job, 'row-run']
  const show = (view: RowRun) => showAnswer(queries, key, view)
  const run = useQuery({
    queryKey: key,
    queryFn: () => get<RowRun>(`${path}/run`),
    refetchInterval: (q) => (q.state.data?.state === 'running' ? LOOK_MILLIS : false),
  })
  const start = useMutation({
    mutationFn: ({ device, ...body }: { device: number; what: string; clear: boolean }) =>
      post<RowRun>(`${path}/${device}/run`, body),
    onSuccess: show,
  })
  const cancel = useMutation({ mutationFn: () => post<RowRun>(`${path}/run/cancel`), onSuccess: show })
  return { view: run.data, start, cancel }
}
