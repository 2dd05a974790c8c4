import { QueryClient, QueryObserver } from '@tanstack/react-query'
import { expect, it, vi } from 'vitest'
import { showAnswer } from './showAnswer'

const KEY = ['step']

/** A page that reads a step; each read is answered by hand. */
function page() {
  const queries = new QueryClient()
  const answers: ((step: string) => void)[] = []
  const read = () => new Promise<string>((resolve) => answers.push(resolve))
  const leave = new QueryObserver(queries, { queryKey: KEY, queryFn: read }).subscribe(() => undefined)
  return { queries, answers, leave, shown: () => queries.getQueryData(KEY) }
}

it('shows no read that was asked for before an answer and comes after it, and reads anew', async () => {
  const { queries, answers, leave, shown } = page()
  await showAnswer(queries, KEY, 'step 7')
  expect(shown()).toBe('step 7')
  answers[0]?.('step 6')
  await vi.waitFor(() => expect(answers).toHaveLength(2))
  expect(shown()).toBe('step 7')
  answers[1]?.('step 8')
  await vi.waitFor(() => expect(shown()).toBe('step 8'))
  leave()
})

it('reads nothing anew when nothing was on its way', async () => {
  const { queries, answers, leave, shown } = page()
  answers[0]?.('step 6')
  await vi.waitFor(() => expect(shown()).toBe('step 6'))
  await showAnswer(queries, KEY, 'step 7')
  expect(shown()).toBe('step 7')
  expect(answers).toHaveLength(1)
  leave()
})
