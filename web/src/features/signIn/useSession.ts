import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { del, get, post, postWithCode } from '../../shared/api/client'
import type { Session } from '../../shared/api/types'

const KEY = ['session']

/** Who is signed in, and the ways in and out. */
export function useSession() {
  const queries = useQueryClient()
  const session = useQuery({
    queryKey: KEY,
    queryFn: () => get<Session>('/auth/session'),
    staleTime: Infinity,
  })
  // The token changes with the session, so it is fetched anew right after.
  const keep = async () => {
    await queries.resetQueries({ queryKey: KEY })
  }
  const signIn = useMutation({
    mutationFn: (body: { login: string; password: string }) => post<Session>('/auth/session', body),
    onSuccess: keep,
  })
  const makeFirst = useMutation({
    mutationFn: ({ code, ...body }: { login: string; name: string; password: string; code: string }) =>
      postWithCode<Session>('/auth/first-account', body, code),
    onSuccess: keep,
  })
  const signOut = useMutation({
    mutationFn: () => del('/auth/session'),
    onSuccess: () => {
      queries.clear()
      window.location.assign('/sign-in')
    },
  })
  return { session, signIn, makeFirst, signOut }
}
