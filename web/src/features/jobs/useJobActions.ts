import { useMutation, useQueryClient } from '@tanstack/react-query'
import { del, post, put, upload } from '../../shared/api/client'
import { jobKeys } from '../../shared/api/job'
import type { Job, JobSummary } from '../../shared/api/types'
import { work } from '../../shared/work'

/** A job file, with the passphrase of its secrets where they are wanted. */
interface Sealed {
  readonly file: File
  readonly passphrase: string
}

/** What can be done with jobs as wholes; each shows the list anew. */
export function useJobActions(onMade: (job: Job) => void) {
  const queries = useQueryClient()
  const show = () => queries.invalidateQueries({ queryKey: jobKeys.all })
  const made = async (job: Job) => {
    await show()
    onMade(job)
  }
  const demo = useMutation({ mutationFn: () => post<Job>('/api/jobs/demo'), onSuccess: made })
  const duplicate = useMutation({
    mutationFn: (job: JobSummary) => post<Job>(`/api/jobs/${job.id}/duplicate`),
    onSuccess: show,
  })
  const fromFile = useMutation({
    mutationFn: ({ file, passphrase }: Sealed) =>
      work(`Reading ${file.name}`, (onProgress) =>
        upload<Job>(
          '/api/jobs/file',
          file,
          onProgress,
          passphrase === '' ? {} : { 'X-Passphrase': encodeURIComponent(passphrase) },
        ),
      ),
    onSuccess: made,
  })
  const archive = useMutation({
    mutationFn: (it: { job: JobSummary; archived: boolean }) =>
      put(`/api/jobs/${it.job.id}/archived`, { archived: it.archived }),
    onSuccess: show,
  })
  const remove = useMutation({
    mutationFn: (job: JobSummary) => del(`/api/jobs/${job.id}`),
    onSuccess: show,
  })
  const restore = useMutation({
    mutationFn: (job: JobSummary) => post(`/api/jobs/${job.id}/restore`),
    onSuccess: show,
  })
  const error =
    demo.error ?? duplicate.error ?? fromFile.error ?? archive.error ?? remove.error ?? restore.error
  return { demo, duplicate, fromFile, archive, remove, restore, error }
}
