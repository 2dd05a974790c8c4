import { MutationObserver, QueryClient, QueryObserver } from '@tanstack/react-query'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { lookSoon } from './lookSoon'

const RIG = ['job', '1', 'rig']
const LOG = ['job', '1', 'log']

beforeEach(() => {
  vi.useFakeTimers()
})

afterEach(() => {
  vi.useRealTimers()
})

/** A page that shows some queries and looks at how often each is read; a read takes 20 ms. */
function page(...shown: string[][]) {
  const queries = new QueryClient()
  const reads = new Map<string, number>()
  const read = (key: string) => async () => {
    reads.set(key, (reads.get(key) ?? 0) + 1)
    await new Promise((resolve) => setTimeout(resolve, 20))
    return reads.get(key)
  }
  for (const queryKey of shown)
    new QueryObserver(queries, { queryKey, queryFn: read(queryKey.join()), staleTime: Infinity }).subscribe(
      () => undefined,
    )
  return { queries, readsOf: (queryKey: readonly unknown[]) => reads.get(queryKey.join()) ?? 0 }
}

it('looks once at what several notices tell, and only at what they tell', async () => {
  const { queries, readsOf } = page(RIG, LOG)
  await vi.advanceTimersByTimeAsync(1000)
  lookSoon(queries, [{ queryKey: RIG }])
  await vi.advanceTimersByTimeAsync(50)
  lookSoon(queries, [{ queryKey: RIG }])
  await vi.advanceTimersByTimeAsync(1000)
  expect(readsOf(RIG)).toBe(2)
  expect(readsOf(LOG)).toBe(1)
})

it('looks at once at what comes alone, and with it at what was heard before', async () => {
  const { queries, readsOf } = page(RIG, LOG)
  await vi.advanceTimersByTimeAsync(1000)
  lookSoon(queries, [{ queryKey: RIG }])
  lookSoon(queries, [{ queryKey: LOG }], 0)
  await vi.advanceTimersByTimeAsync(1)
  expect([readsOf(RIG), readsOf(LOG)]).toEqual([2, 2])
  await vi.advanceTimersByTimeAsync(1000)
  expect([readsOf(RIG), readsOf(LOG)]).toEqual([2, 2])
})

it('does not ask again for what was asked for after the news came', async () => {
  const { queries, readsOf } = page(RIG)
  await vi.advanceTimersByTimeAsync(1000)
  lookSoon(queries, [{ queryKey: RIG }])
  await vi.advanceTimersByTimeAsync(10)
  void queries.invalidateQueries({ queryKey: RIG })
  await vi.advanceTimersByTimeAsync(1000)
  expect(readsOf(RIG)).toBe(2)
})

it('asks anew for what was on its way when the news came: it may be older', async () => {
  const { queries, readsOf } = page(RIG)
  await vi.advanceTimersByTimeAsync(1)
  lookSoon(queries, [{ queryKey: RIG }])
  await vi.advanceTimersByTimeAsync(1000)
  expect(readsOf(RIG)).toBe(2)
})

it('leaves what is shown by then, and what only begins alike where the exact one is meant', async () => {
  const { queries, readsOf } = page(RIG, LOG)
  await vi.advanceTimersByTimeAsync(1000)
  lookSoon(queries, [
    { queryKey: RIG, shown: () => true },
    { queryKey: ['job', '1'], exact: true },
  ])
  await vi.advanceTimersByTimeAsync(1000)
  expect(readsOf(RIG)).toBe(1)
  expect(readsOf(LOG)).toBe(1)
  lookSoon(queries, [{ queryKey: ['job', '1'] }])
  await vi.advanceTimersByTimeAsync(1000)
  expect(readsOf(LOG)).toBe(2)
})

it('waits for the answer to a change of its own', async () => {
  const { queries, readsOf } = page(RIG)
  await vi.advanceTimersByTimeAsync(1000)
  const change = new MutationObserver(queries, {
    mutationFn: () => new Promise((resolve) => setTimeout(resolve, 500)),
  })
  void change.mutate()
  lookSoon(queries, [{ queryKey: RIG }])
  await vi.advanceTimersByTimeAsync(450)
  expect(readsOf(RIG)).toBe(1)
  await vi.advanceTimersByTimeAsync(500)
  expect(readsOf(RIG)).toBe(2)
})

it('waits for no change of its own that takes long', async () => {
  const { queries, readsOf } = page(RIG)
  await vi.advanceTimersByTimeAsync(1000)
  void new MutationObserver(queries, { mutationFn: () => new Promise(() => undefined) }).mutate()
  lookSoon(queries, [{ queryKey: RIG }])
  await vi.advanceTimersByTimeAsync(900)
  expect(readsOf(RIG)).toBe(1)
  await vi.advanceTimersByTimeAsync(500)
  expect(readsOf(RIG)).toBe(2)
})
