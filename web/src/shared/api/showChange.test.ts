import { QueryClient } from '@tanstack/react-query'
import { expect, it } from 'vitest'
import { jobKeys, resting, showChange } from './job'
import type { Job, JobPatch } from './types'

const job = {
  id: 7,
  version: 3,
  observed: 5,
  name: 'Hall',
  devices: [],
  lines: [],
  runs: [],
  findings: [],
  subnets: [],
} as unknown as Job
const patch = {
  id: 7,
  from: 3,
  fromObserved: 5,
  version: 4,
  observed: 5,
  name: 'Rink',
} as unknown as JobPatch

// The live stream tells nobody of their own change: what rests on the plan is read again for it.
it.each(resting(7))('an own change has %j %i %j read again', async (...queryKey) => {
  const queries = new QueryClient()
  queries.setQueryData(jobKeys.one(7), job)
  queries.setQueryData(queryKey, [])
  await showChange(queries, patch)
  expect(queries.getQueryState(queryKey)?.isInvalidated).toBe(true)
  expect(queries.getQueryData<Job>(jobKeys.one(7))?.name).toBe('Rink')
})

it('of a job that is behind the whole is read again, not patched', async () => {
  const queries = new QueryClient()
  queries.setQueryData(jobKeys.one(7), { ...job, version: 2 })
  await showChange(queries, patch)
  expect(queries.getQueryState(jobKeys.one(7))?.isInvalidated).toBe(true)
  expect(queries.getQueryData<Job>(jobKeys.one(7))?.name).toBe('Hall')
})
