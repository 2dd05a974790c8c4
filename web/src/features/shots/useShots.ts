import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useEffect, useEffectEvent } from 'react'
import { get, post } from '../../shared/api/client'
import { showAnswer } from '../../shared/api/showAnswer'
import type { Job, PresetRow, ShotList, ShotRun } from '../../shared/api/types'

/** While a list is run, the page looks this often and says that it is there. */
const BEAT_MILLIS = 1000

export function useShots(job: Job) {
  const lists = useQuery({
    queryKey: ['job', job.id, 'shots', job.version],
    queryFn: () => get<readonly ShotList[]>(`/api/jobs/${job.id}/shot-lists`),
    placeholderData: (before) => before,
  })
  const presets = useQuery({
    queryKey: ['job', job.id, 'presets', job.version],
    queryFn: () => get<readonly PresetRow[]>(`/api/jobs/${job.id}/presets`),
    placeholderData: (before) => before,
  })
  return { lists, presets }
}

export interface Step {
  readonly expected: number | null
  readonly anyway: boolean
}

export const runKey = (job: number) => ['job', job, 'shot-run'] as const

/** The list that is run: what is on air, what comes, where its cameras are. */
export function useShotRun(job: number, may: boolean) {
  const queries = useQueryClient()
  const path = `/api/jobs/${job}/shot-lists`
  const key = runKey(job)
  const run = useQuery({ queryKey: key, queryFn: () => get<ShotRun>(`${path}/run`) })
  const show = (view: ShotRun) => showAnswer(queries, key, view)
  const running = run.data?.state === 'running'
  const mine = running && may && run.data?.mine === true
  const beat = useEffectEvent(() => {
    if (document.visibilityState !== 'visible') return
    const look = mine ? post<ShotRun>(`${path}/run/here`) : get<ShotRun>(`${path}/run`)
    const shown = queries.getQueryState(key)?.dataUpdatedAt
    // What was shown anew meanwhile, such as the next shot, is newer than this look.
    look
      .then((view) => (queries.getQueryState(key)?.dataUpdatedAt === shown ? show(view) : undefined))
      .catch(() => undefined)
  })
  useEffect(() => {
    if (!running) return undefined
    beat()
    const timer = setInterval(() => beat(), BEAT_MILLIS)
    return () => clearInterval(timer)
  }, [running])
  const start = useMutation({
    mutationFn: (it: { list: number; clear: boolean; from: number | null }) =>
      post<ShotRun>(`${path}/${it.list}/run`, { clear: it.clear, from: it.from }),
    onSuccess: show,
  })
  const step = useMutation({
    mutationFn: ({ what, ...step }: Step & { what: 'next' | 'skip' | 'back' }) =>
      post<ShotRun>(`${path}/run/${what}`, step),
    onSuccess: show,
  })
  const again = useMutation({ mutationFn: () => post<ShotRun>(`${path}/run/again`), onSuccess: show })
  const end = useMutation({ mutationFn: () => post<ShotRun>(`${path}/run/end`), onSuccess: show })
  const stopAll = useMutation({ mutationFn: () => post<void>(`/api/jobs/${job}/prove/stop-all`) })
  return { view: run.data, running, start, step, again, end, stopAll }
}
