import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import TextField from '@mui/material/TextField'
import { useMutation } from '@tanstack/react-query'
import { useState } from 'react'
import { put, sentence } from '../../shared/api/client'
import { Trouble } from '../../shared/ui/Trouble'

/** Another password for one's own account; all other sessions end. */
export function PasswordDialog({ onClose }: { readonly onClose: () => void }) {
  const [old, setOld] = useState('')
  const [fresh, setFresh] = useState('')
  const change = useMutation({ mutationFn: () => put('/auth/password', { old, fresh }) })
  if (change.isSuccess) {
    return (
      <Dialog open onClose={onClose}>
        <DialogTitle>Password changed</DialogTitle>
        <DialogContent>Everywhere else you are signed out.</DialogContent>
        <DialogActions>
          <Button onClick={onClose} autoFocus>
            Close
          </Button>
        </DialogActions>
      </Dialog>
    )
  }
  return (
    <Dialog open onClose={onClose} maxWidth="xs" fullWidth>
      <form
        onSubmit={(e) => {
          e.preventDefault()
          change.mutate()
        }}
      >
        <DialogTitle>Change password</DialogTitle>
        <DialogContent>
          <Box sx={{ display: 'grid', gap: 2, pt: 1 }}>
            <TextField
              label="Present password"
              type="password"
              autoComplete="current-password"
              autoFocus
              required
              value={old}
              onChange={(e) => setOld(e.target.value)}
            />
            <TextField
              label="New password"
              type="password"
              autoComplete="new-password"
              required
              value={fresh}
              onChange={(e) => setFresh(e.target.value)}
              helperText="At least 10 characters"
            />
            {change.error && <Trouble>{sentence(change.error)}</Trouble>}
          </Box>
        </DialogContent>
        <DialogActions>
          <Button onClick={onClose}>Leave as it is</Button>
          <Button type="submit" variant="contained" disabled={change.isPending}>
            Change it
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  )
}
