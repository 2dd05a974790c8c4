import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { get, post, put } from '../../shared/api/client'
import { jobKeys } from '../../shared/api/job'
import { lookSoon } from '../../shared/api/lookSoon'
import { showAnswer } from '../../shared/api/showAnswer'
import type { BringUp, Job, Methods, Outcome, Rig } from '../../shared/api/types'

/** A simulated device that starts up is looked at this often; nothing else changes by itself. */
const BOOT_MILLIS = 1000

export function useBringUp(job: number) {
  const queries = useQueryClient()
  const path = `/api/jobs/${job}/bring-up`
  const view = useQuery({
    queryKey: jobKeys.bringUp(job),
    queryFn: () => get<BringUp>(path),
  })
  const show = async (next: BringUp) => {
    await showAnswer(queries, jobKeys.bringUp(job), next)
    lookSoon(queries, [
      { queryKey: jobKeys.one(job), exact: true },
      { queryKey: jobKeys.rig(job) },
      { queryKey: jobKeys.world(job) },
    ])
  }
  const start = useMutation({
    mutationFn: (body: { method: string; workshop: boolean }) => post<BringUp>(`${path}/start`, body),
    onSuccess: show,
  })
  const replan = useMutation({ mutationFn: () => post<BringUp>(`${path}/replan`), onSuccess: show })
  const end = useMutation({ mutationFn: () => post<BringUp>(`${path}/end`), onSuccess: show })
  const differs = useMutation({
    mutationFn: (it: Told) => post<BringUp>(`${path}/steps/${it.step}/differs`, it),
    onSuccess: show,
  })
  const aside = useMutation({
    mutationFn: (it: Told) => post<BringUp>(`${path}/steps/${it.step}/aside`, it),
    onSuccess: show,
  })
  const act = useMutation({
    mutationFn: (step: number) => post<BringUp>(`${path}/steps/${step}/rig-hands`),
    onSuccess: show,
  })
  const check = useMutation({
    mutationFn: (step: number) => post<Outcome>(`${path}/steps/${step}/check`),
    onSuccess: (outcome) => show(outcome.view),
  })
  return { view, start, replan, end, act, check, differs, aside }
}

/** What was seen instead of what the step says. */
interface Told {
  readonly step: number
  readonly saw: string
  readonly address: string
}

/** Every method side by side, worked out anew when the job has changed. */
export function useMethods(job: Job, workshop: boolean) {
  return useQuery({
    queryKey: [...jobKeys.methods(job.id, workshop), job.version],
    queryFn: () => get<Methods>(`/api/jobs/${job.id}/bring-up/methods?workshop=${workshop}`),
    placeholderData: keepPreviousData,
  })
}

/** The simulated hall: who is plugged in, where the laptop is, how fast its clock runs. */
export function useRig(job: number) {
  const queries = useQueryClient()
  const path = `/api/jobs/${job}/rig`
  const rig = useQuery({
    queryKey: jobKeys.rig(job),
    queryFn: () => get<Rig>(path),
    refetchInterval: (query) =>
      query.state.data?.devices.some((d) => d.phase === 'booting') ? BOOT_MILLIS : false,
  })
  const show = async (next: Rig) => {
    await showAnswer(queries, jobKeys.rig(job), next)
    lookSoon(queries, [{ queryKey: jobKeys.bringUp(job) }])
  }
  const plug = useMutation({
    mutationFn: (it: { device: number; plugged: boolean }) =>
      put<Rig>(`${path}/devices/${it.device}/plug`, { plugged: it.plugged }),
    onSuccess: show,
  })
  const begin = useMutation({
    mutationFn: (how: 'unplugged' | 'as-planned') => put<Rig>(`${path}/begin`, { how }),
    onSuccess: show,
  })
  const speed = useMutation({
    mutationFn: (value: number) => put<Rig>(`${path}/speed`, { speed: value }),
    onSuccess: show,
  })
  return { rig, plug, begin, speed }
}
