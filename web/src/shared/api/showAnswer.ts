import type { QueryClient, QueryKey } from '@tanstack/react-query'

/**
 * Shows what a request has answered in the place of what a page reads by itself. A read that was asked for
 * before and comes later is older: it would bring back what is over, so it is dropped and asked for anew.
 */
export async function showAnswer<T>(queries: QueryClient, queryKey: QueryKey, answer: T): Promise<void> {
  const reading = queries.isFetching({ queryKey, exact: true }) > 0
  await queries.cancelQueries({ queryKey, exact: true })
  queries.setQueryData(queryKey, answer)
  if (reading) void queries.invalidateQueries({ queryKey, exact: true })
}
