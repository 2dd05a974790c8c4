import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import type { QueryClient } from '@tanstack/react-query'
import { Refused, del, get, post } from './client'
import { newKey } from './newKey'
import { outbox } from './outbox'
import { patchJob } from './patch'
import { mayMakeStale } from './proveAgain'
import type { Changes, Job, JobPatch, JobSummary, Preview } from './types'

export const jobKeys = {
  all: ['jobs'] as const,
  one: (job: number) => ['job', job] as const,
  bringUp: (job: number) => ['job', job, 'bring-up'] as const,
  methods: (job: number, workshop: boolean) => ['job', job, 'methods', workshop] as const,
  rig: (job: number) => ['job', job, 'rig'] as const,
  world: (job: number) => ['job', job, 'world'] as const,
  log: (job: number) => ['job', job, 'log'] as const,
  people: (job: number) => ['job', job, 'people'] as const,
  present: (job: number) => ['job', job, 'present'] as const,
  shelf: (job: number) => ['job', job, 'profiles'] as const,
  routes: (job: number) => ['job', job, 'routes'] as const,
  cabling: (job: number) => ['job', job, 'cabling'] as const,
  mounts: (job: number) => ['job', job, 'mounts'] as const,
  standings: (job: number) => ['job', job, 'standings'] as const,
  observations: (job: number) => ['job', job, 'observations'] as const,
  asFound: (job: number) => ['job', job, 'as-found'] as const,
  discovery: (job: number) => ['job', job, 'discovery'] as const,
  preparation: (job: number) => ['job', job, 'preparation'] as const,
}

/** What rests on the plan beside the job itself: a change of the plan, ours or not, shows in all of it. */
export const resting = (job: number) => [
  jobKeys.log(job),
  jobKeys.bringUp(job),
  jobKeys.standings(job),
  jobKeys.observations(job),
  jobKeys.asFound(job),
  jobKeys.discovery(job),
]

export const useJobs = () =>
  useQuery({ queryKey: jobKeys.all, queryFn: () => get<JobSummary[]>('/api/jobs') })

/** What a page that shows the job has missed; the whole job where the server cannot say that any more. */
async function readJob(queries: QueryClient, job: number): Promise<Job> {
  const known = queries.getQueryData<Job>(jobKeys.one(job))
  if (!known) return get<Job>(`/api/jobs/${job}`)
  try {
    return patchJob(
      known,
      await get<JobPatch>(`/api/jobs/${job}/patch?since=${known.version}&observed=${known.observed}`),
    )
  } catch (error) {
    if (error instanceof Refused && error.code === 'too-far-behind') return get<Job>(`/api/jobs/${job}`)
    throw error
  }
}

const newer = (a: Job, b: Job) =>
  a.version > b.version || (a.version === b.version && a.observed > b.observed)

/** Of two answers that crossed each other the newer counts. */
async function readNewest(queries: QueryClient, job: number): Promise<Job> {
  const read = await readJob(queries, job)
  const meanwhile = queries.getQueryData<Job>(jobKeys.one(job))
  return meanwhile && newer(meanwhile, read) ? meanwhile : read
}

export function useJob(job: number) {
  const queries = useQueryClient()
  return useQuery({ queryKey: jobKeys.one(job), queryFn: () => readNewest(queries, job) })
}

export const previewChanges = (job: number, changes: Changes) =>
  post<Preview>(`/api/jobs/${job}/changes/preview`, changes)

/** Shows what a change did; what others did before it and is not shown here yet is asked for. */
export async function showChange(queries: QueryClient, patch: JobPatch): Promise<void> {
  const key = jobKeys.one(patch.id)
  const known = queries.getQueryData<Job>(key)
  if (known?.version === patch.from && known.observed === patch.fromObserved)
    queries.setQueryData<Job>(key, patchJob(known, patch))
  else await queries.invalidateQueries({ queryKey: key, exact: true })
  await Promise.all(
    [...resting(patch.id), jobKeys.all].map((queryKey) => queries.invalidateQueries({ queryKey })),
  )
}

function useJobCommand<In>(send: (input: In) => Promise<JobPatch | undefined>) {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: send,
    onSuccess: async (patch) => {
      if (patch) await showChange(queries, patch)
    },
  })
}

const LEFT = new Refused(0, 'left', 'Left as it was: nothing was changed.')

/** Of a job of which something is known: what the change would make stale, and whether it may. */
async function askedFirst(queries: QueryClient, job: number, changes: Changes): Promise<boolean> {
  const known = queries.getQueryData<Job>(jobKeys.one(job))
  if (!known || known.observed === 0) return true
  try {
    return await mayMakeStale((await previewChanges(job, changes)).again)
  } catch {
    // The change itself will be refused in its own words, or kept until somebody answers.
    return true
  }
}

/**
 * Sends something that changes the job beside its plan; before it makes stale what was proved
 * somebody is asked.
 *
 * @param changes what it comes to in the plan
 */
export const useAskedFirst = <In>(
  job: number,
  changes: (input: In) => Changes,
  send: (input: In) => Promise<void>,
) => {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: async (input: In) => {
      if (!(await askedFirst(queries, job, changes(input)))) throw LEFT
      await send(input)
    },
  })
}

/**
 * Sends a change; when nobody answers it is kept in the outbox and sent later. Before one that makes
 * what was proved stale somebody is asked.
 *
 * @param asked it was shown already what must be proved again
 */
export const useChange = (job: number, asked = false) => {
  const queries = useQueryClient()
  return useJobCommand(async (changes: Changes) => {
    if (!asked && !(await askedFirst(queries, job, changes))) throw LEFT
    if (outbox.next(job)) {
      outbox.keep(job, changes)
      return undefined
    }
    const key = newKey()
    try {
      return await post<JobPatch>(`/api/jobs/${job}/changes`, changes, key)
    } catch (error) {
      if (!(error instanceof Refused && error.silent)) throw error
      outbox.keep(job, changes, key)
      return undefined
    }
  })
}

export const useUndo = (job: number) => useJobCommand<void>(() => post<JobPatch>(`/api/jobs/${job}/undo`))
export const useRedo = (job: number) => useJobCommand<void>(() => post<JobPatch>(`/api/jobs/${job}/redo`))
export const useWaive = (job: number) =>
  useJobCommand((body: { finding: string; reason: string }) =>
    post<JobPatch>(`/api/jobs/${job}/waivers`, body),
  )
export const useUnwaive = (job: number) =>
  useJobCommand((waiver: number) => del<JobPatch>(`/api/jobs/${job}/waivers/${waiver}`))

/** Shows what any other request of a page did to the job. */
export const useJobRequest = <In>(send: (input: In) => Promise<JobPatch>) => useJobCommand<In>(send)
