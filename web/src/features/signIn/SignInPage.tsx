import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import TextField from '@mui/material/TextField'
import { useState } from 'react'
import type { FormEvent } from 'react'
import { sentence } from '../../shared/api/client'
import { Trouble } from '../../shared/ui/Trouble'
import { useTitle } from '../../shared/ui/useTitle'
import { useSession } from './useSession'

/** Signing in; on first use, making the first account. */
export function SignInPage() {
  useTitle('Sign in')
  const { session, signIn, makeFirst } = useSession()
  const first = session.data?.firstAccountNeeded ?? false
  const [login, setLogin] = useState('')
  const [name, setName] = useState('')
  const [password, setPassword] = useState('')
  const [code, setCode] = useState('')
  const withCode = first && (session.data?.firstCodeNeeded ?? false)
  const pending = signIn.isPending || makeFirst.isPending
  const error = signIn.error ?? makeFirst.error ?? session.error
  const submit = (event: FormEvent) => {
    event.preventDefault()
    if (first) makeFirst.mutate({ login, name, password, code })
    else signIn.mutate({ login, password })
  }
  return (
    <Box sx={{ height: '100vh', display: 'grid', placeItems: 'center', overflow: 'auto' }}>
      <Paper component="form" onSubmit={submit} sx={{ width: 380, maxWidth: '94vw', p: 4 }}>
        <Box component="h1" sx={{ typography: 'h1', mt: 0 }}>
          Jerboa
        </Box>
        <p>
          {first
            ? 'Nobody has an account here yet. Make the first one; it leads every job it makes.'
            : 'Sign in with the name and password of your account.'}
        </p>
        <Box sx={{ display: 'grid', gap: 2 }}>
          <TextField
            label="Sign-in name"
            value={login}
            onChange={(e) => setLogin(e.target.value)}
            autoComplete="username"
            autoFocus
            required
          />
          {first && (
            <TextField
              label="Your name, as others read it"
              value={name}
              onChange={(e) => setName(e.target.value)}
              required
            />
          )}
          <TextField
            label="Password"
            type="password"
            value={password}
            onChange={(e) => setPassword(e.target.value)}
            autoComplete={first ? 'new-password' : 'current-password'}
            helperText={first ? 'At least 10 characters' : undefined}
            required
          />
          {withCode && (
            <TextField
              label="Code for the first account"
              value={code}
              onChange={(e) => setCode(e.target.value)}
              helperText="Printed where Jerboa was started: only whoever started it makes the first account."
              slotProps={{ htmlInput: { className: 'mono', autoComplete: 'off' } }}
              required
            />
          )}
          {error && <Trouble>{sentence(error)}</Trouble>}
          <Button type="submit" variant="contained" disabled={pending}>
            {first ? 'Make the account' : 'Sign in'}
          </Button>
        </Box>
      </Paper>
    </Box>
  )
}
