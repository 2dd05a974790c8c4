import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import type { QueryClient } from '@tanstack/react-query'
import { Refused, del, get, post } from './client'
import { newKey } from './newKey'
import { outbox } from './outbox'
import type { Changes, Job, JobSummary, Preview } from './types'

export const jobKeys = {
  all: ['jobs'] as const,
  one: (job: number) => ['job', job] as const,
  bringUp: (job: number) => ['job', job, 'bring-up'] as const,
  methods: (job: number, workshop: boolean) => ['job', job, 'methods', workshop] as const,
  rig: (job: number) => ['job', job, 'rig'] as const,
  log: (job: number) => ['job', job, 'log'] as const,
  people: (job: number) => ['job', job, 'people'] as const,
  present: (job: number) => ['job', job, 'present'] as const,
  shelf: (job: number) => ['job', job, 'profiles'] as const,
  routes: (job: number) => ['job', job, 'routes'] as const,
  cabling: (job: number) => ['job', job, 'cabling'] as const,
  mounts: (job: number) => ['job', job, 'mounts'] as const,
  preparation: (job: number) => ['job', job, 'preparation'] as const,
}

export const useJobs = () =>
  useQuery({ queryKey: jobKeys.all, queryFn: () => get<JobSummary[]>('/api/jobs') })

export const useJob = (job: number) =>
  useQuery({ queryKey: jobKeys.one(job), queryFn: () => get<Job>(`/api/jobs/${job}`) })

export const previewChanges = (job: number, changes: Changes) =>
  post<Preview>(`/api/jobs/${job}/changes/preview`, changes)

/** Shows a job as it came back from a change, unless something newer came meanwhile. */
export async function showJob(queries: QueryClient, view: Job): Promise<void> {
  queries.setQueryData<Job>(jobKeys.one(view.id), (old) => (old && old.version > view.version ? old : view))
  await queries.invalidateQueries({ queryKey: jobKeys.bringUp(view.id) })
  await queries.invalidateQueries({ queryKey: jobKeys.log(view.id) })
  await queries.invalidateQueries({ queryKey: jobKeys.all })
}

function useJobCommand<In>(send: (input: In) => Promise<Job | undefined>) {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: send,
    onSuccess: async (view) => {
      if (view) await showJob(queries, view)
    },
  })
}

/** Sends a change; when nobody answers it is kept in the outbox and sent later. */
export const useChange = (job: number) =>
  useJobCommand(async (changes: Changes) => {
    if (outbox.next(job)) {
      outbox.keep(job, changes)
      return undefined
    }
    const key = newKey()
    try {
      return await post<Job>(`/api/jobs/${job}/changes`, changes, key)
    } catch (error) {
      if (!(error instanceof Refused && error.silent)) throw error
      outbox.keep(job, changes, key)
      return undefined
    }
  })

export const useUndo = (job: number) => useJobCommand<void>(() => post<Job>(`/api/jobs/${job}/undo`))
export const useRedo = (job: number) => useJobCommand<void>(() => post<Job>(`/api/jobs/${job}/redo`))
export const useWaive = (job: number) =>
  useJobCommand((body: { finding: string; reason: string }) => post<Job>(`/api/jobs/${job}/waivers`, body))
export const useUnwaive = (job: number) =>
  useJobCommand((waiver: number) => del<Job>(`/api/jobs/${job}/waivers/${waiver}`))

/** Shows the job as any other request of a page answered with it. */
export const useJobRequest = <In>(send: (input: In) => Promise<Job>) => useJobCommand<In>(send)
