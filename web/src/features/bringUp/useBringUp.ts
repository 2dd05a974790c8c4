import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { get, post, put } from '../../shared/api/client'
import { jobKeys } from '../../shared/api/job'
import type { BringUp, Outcome, Rig } from '../../shared/api/types'

/** Another technician or another machine may go on: look again this often. */
const AGAIN_MILLIS = 2000

export function useBringUp(job: number) {
  const queries = useQueryClient()
  const path = `/api/jobs/${job}/bring-up`
  const view = useQuery({
    queryKey: jobKeys.bringUp(job),
    queryFn: () => get<BringUp>(path),
    refetchInterval: AGAIN_MILLIS,
  })
  const show = async (next: BringUp) => {
    queries.setQueryData(jobKeys.bringUp(job), next)
    await queries.invalidateQueries({ queryKey: jobKeys.one(job), exact: true })
    await queries.invalidateQueries({ queryKey: jobKeys.rig(job) })
  }
  const start = useMutation({ mutationFn: () => post<BringUp>(`${path}/start`), onSuccess: show })
  const act = useMutation({
    mutationFn: (step: number) => post<BringUp>(`${path}/steps/${step}/rig-hands`),
    onSuccess: show,
  })
  const check = useMutation({
    mutationFn: (step: number) => post<Outcome>(`${path}/steps/${step}/check`),
    onSuccess: (outcome) => show(outcome.view),
  })
  return { view, start, act, check }
}

/** The simulated hall: who is plugged in, where the laptop is, how fast its clock runs. */
export function useRig(job: number) {
  const queries = useQueryClient()
  const path = `/api/jobs/${job}/rig`
  const rig = useQuery({
    queryKey: jobKeys.rig(job),
    queryFn: () => get<Rig>(path),
    refetchInterval: AGAIN_MILLIS,
  })
  const show = async (next: Rig) => {
    queries.setQueryData(jobKeys.rig(job), next)
    await queries.invalidateQueries({ queryKey: jobKeys.bringUp(job) })
  }
  const plug = useMutation({
    mutationFn: (it: { device: number; plugged: boolean }) =>
      put<Rig>(`${path}/devices/${it.device}/plug`, { plugged: it.plugged }),
    onSuccess: show,
  })
  const speed = useMutation({
    mutationFn: (value: number) => put<Rig>(`${path}/speed`, { speed: value }),
    onSuccess: show,
  })
  return { rig, plug, speed }
}
