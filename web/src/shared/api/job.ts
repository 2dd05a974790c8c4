import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { get, post } from './client'
import type { Change, Job, JobSummary, Preview } from './types'

export const jobKeys = {
  all: ['jobs'] as const,
  one: (job: number) => ['job', job] as const,
  bringUp: (job: number) => ['job', job, 'bring-up'] as const,
  rig: (job: number) => ['job', job, 'rig'] as const,
}

export const useJobs = () =>
  useQuery({ queryKey: jobKeys.all, queryFn: () => get<JobSummary[]>('/api/jobs') })

export const useJob = (job: number) =>
  useQuery({ queryKey: jobKeys.one(job), queryFn: () => get<Job>(`/api/jobs/${job}`) })

export const previewChanges = (job: number, changes: readonly Change[]) =>
  post<Preview>(`/api/jobs/${job}/changes/preview`, { changes })

/** Sends a change of the job and shows the job as it came back. */
function useJobPost<In>(job: number, path: string, body: (input: In) => unknown) {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: (input: In) => post<Job>(`/api/jobs/${job}${path}`, body(input)),
    onSuccess: async (view) => {
      queries.setQueryData(jobKeys.one(job), view)
      await queries.invalidateQueries({ queryKey: jobKeys.bringUp(job) })
      await queries.invalidateQueries({ queryKey: jobKeys.all })
    },
  })
}

export const useChange = (job: number) =>
  useJobPost(job, '/changes', (changes: readonly Change[]) => ({ changes }))
export const useUndo = (job: number) => useJobPost<void>(job, '/undo', () => ({}))
export const useRedo = (job: number) => useJobPost<void>(job, '/redo', () => ({}))
