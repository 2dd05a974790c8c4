import Box from '@mui/material/Box'
import CssBaseline from '@mui/material/CssBaseline'
import { ThemeProvider } from '@mui/material/styles'
import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { useMemo, useState } from 'react'
import { BrowserRouter, Navigate, Route, Routes } from 'react-router'
import { JobsPage } from '../features/jobs'
import { SignInPage, useSession } from '../features/signIn'
import { Refused } from '../shared/api/client'
import { BottomLine } from './BottomLine'
import { JobPages } from './JobPages'
import { TopBar } from './TopBar'
import { notebook } from './theme'
import { useLook } from './useLook'

/** A refusal is an answer; only silence is worth asking again. */
function retry(count: number, error: unknown): boolean {
  return count < 3 && error instanceof Refused && error.status === 0
}

export function App() {
  const [queries] = useState(
    () => new QueryClient({ defaultOptions: { queries: { retry, retryDelay: 700 } } }),
  )
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
  if (session.isPending) return null
  if (!session.data?.signedIn) return <SignInPage />
  return (
    <Routes>
      <Route path="/jobs" element={<JobList {...props} />} />
      <Route path="/jobs/:job/*" element={<JobPages {...props} />} />
      <Route path="*" element={<Navigate to="/jobs" replace />} />
    </Routes>
  )
}

function JobList(props: { readonly look: ReturnType<typeof useLook>['look']; readonly onLook: () => void }) {
  return (
    <Box sx={{ height: '100vh', display: 'flex', flexDirection: 'column' }}>
      <TopBar {...props} onTrouble={() => undefined} />
      <JobsPage />
      <BottomLine trouble={undefined} onSeen={() => undefined} />
    </Box>
  )
}
