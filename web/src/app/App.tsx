import Box from '@mui/material/Box'
import CssBaseline from '@mui/material/CssBaseline'
import { ThemeProvider } from '@mui/material/styles'
import { QueryCache, QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { useMemo, useState } from 'react'
import { BrowserRouter, Navigate, Route, Routes, useLocation } from 'react-router'
import { JobsPage } from '../features/jobs'
import { InvitationPage } from '../features/people'
import { SignInPage, useSession } from '../features/signIn'
import { Refused } from '../shared/api/client'
import { useTitle } from '../shared/ui/useTitle'
import { BottomLine } from './BottomLine'
import { JobPages } from './JobPages'
import { TopBar } from './TopBar'
import { notebook } from './theme'
import { useLook } from './useLook'

/** A refusal is an answer; only silence is worth asking again. */
function retry(count: number, error: unknown): boolean {
  return count < 3 && error instanceof Refused && error.status === 0
}

function newQueries(): QueryClient {
  const queries: QueryClient = new QueryClient({
    // Asked whatever the browser thinks of its network: our own answer, or its lack, decides.
    defaultOptions: {
      queries: { retry, retryDelay: 700, networkMode: 'always' },
      mutations: { networkMode: 'always' },
    },
    queryCache: new QueryCache({
      onError: (error) => {
        // Signed out elsewhere: the sign-in shows in place, and the page is there again after it.
        if (error instanceof Refused && error.status === 401) {
          void queries.invalidateQueries({ queryKey: ['session'] })
        }
      },
    }),
  })
  return queries
}

export function App() {
  const [queries] = useState(newQueries)
  const { look, change } = useLook()
  const theme = useMemo(() => notebook(look), [look])
  return (
    <ThemeProvider theme={theme}>
      <CssBaseline />
      <QueryClientProvider client={queries}>
        <BrowserRouter>
          <Pages look={look} onLook={change} />
        </BrowserRouter>
      </QueryClientProvider>
    </ThemeProvider>
  )
}

function Pages(props: { readonly look: ReturnType<typeof useLook>['look']; readonly onLook: () => void }) {
  const { session } = useSession()
  const { pathname, search } = useLocation()
  if (session.isPending) return null
  const invited = pathname.startsWith('/invitation/') && search !== '?sign-in'
  if (!session.data?.signedIn && !invited) return <SignInPage />
  return (
    <Routes>
      <Route path="/invitation/:secret" element={<InvitationPage />} />
      <Route path="/jobs" element={<JobList {...props} />} />
      <Route path="/jobs/:job/*" element={<JobPages {...props} />} />
      <Route path="*" element={<Navigate to="/jobs" replace />} />
    </Routes>
  )
}

function JobList(props: { readonly look: ReturnType<typeof useLook>['look']; readonly onLook: () => void }) {
  useTitle('Jobs')
  return (
    <Box sx={{ height: '100vh', display: 'flex', flexDirection: 'column' }}>
      <TopBar {...props} onTrouble={() => undefined} />
      <JobsPage />
      <BottomLine trouble={undefined} lost={false} onSeen={() => undefined} />
    </Box>
  )
}
