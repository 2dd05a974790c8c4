import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import TextField from '@mui/material/TextField'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useNavigate, useParams } from 'react-router'
import { get, post, sentence } from '../../shared/api/client'
import type { Offer } from '../../shared/api/types'
import { Trouble } from '../../shared/ui/Trouble'
import { useTitle } from '../../shared/ui/useTitle'
import { useSession } from '../signIn'

/** The other end of an invitation: join as whoever is signed in, or with a new account. */
export function InvitationPage() {
  useTitle('Invitation')
  const path = `/auth/invitations/${useParams().secret}`
  const { session } = useSession()
  const queries = useQueryClient()
  const navigate = useNavigate()
  const offer = useQuery({ queryKey: ['offer', path], queryFn: () => get<Offer>(path), retry: false })
  const [account, setAccount] = useState({ login: '', name: '', password: '' })
  const join = useMutation({
    mutationFn: (fresh: boolean) =>
      post<{ job: number }>(fresh ? `${path}/account` : `${path}/join`, fresh ? account : {}),
    onSuccess: async ({ job }) => {
      await queries.resetQueries()
      await navigate(`/jobs/${job}`)
    },
  })
  const signedIn = session.data?.signedIn === true
  const type = (field: keyof typeof account) => (e: { target: { value: string } }) =>
    setAccount({ ...account, [field]: e.target.value })
  return (
    <Box sx={{ height: '100vh', display: 'grid', placeItems: 'center', overflow: 'auto' }}>
      <Paper
        component="form"
        onSubmit={(e) => {
          e.preventDefault()
          join.mutate(!signedIn)
        }}
        sx={{ width: 420, maxWidth: '94vw', p: 4 }}
      >
        <Box component="h1" sx={{ typography: 'h1', mt: 0 }}>
          Invitation
        </Box>
        {offer.error && <Trouble>{sentence(offer.error)}</Trouble>}
        {offer.data && (
          <>
            <p>
              {offer.data.invitedBy} lets you into <b>{offer.data.job}</b> as <b>{offer.data.role}</b>.
            </p>
            <Box sx={{ display: 'grid', gap: 2 }}>
              {!signedIn && (
                <>
                  <TextField
                    label="Sign-in name"
                    value={account.login}
                    onChange={type('login')}
                    autoComplete="username"
                    autoFocus
                    required
                  />
                  <TextField
                    label="Your name, as others read it"
                    value={account.name}
                    onChange={type('name')}
                    required
                  />
                  <TextField
                    label="Password"
                    type="password"
                    value={account.password}
                    onChange={type('password')}
                    autoComplete="new-password"
                    helperText="At least 10 characters"
                    required
                  />
                </>
              )}
              {join.error && <Trouble>{sentence(join.error)}</Trouble>}
              <Button type="submit" variant="contained" disabled={join.isPending}>
                {signedIn ? `Join as ${session.data?.name}` : 'Make an account and join'}
              </Button>
              {!signedIn && (
                <span>
                  Have an account? <a href="?sign-in">Sign in with it</a> and join.
                </span>
              )}
            </Box>
          </>
        )}
      </Paper>
    </Box>
  )
}
