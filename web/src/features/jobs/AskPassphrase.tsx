import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import TextField from '@mui/material/TextField'
import { useState } from 'react'

interface Props {
  readonly file: string
  /** An empty passphrase leaves the secrets out. */
  readonly onTake: (passphrase: string) => void
  readonly onClose: () => void
}

/** A job file that brings secrets: with them, or without. */
export function AskPassphrase({ file, onTake, onClose }: Props) {
  const [passphrase, setPassphrase] = useState('')
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm">
      <DialogTitle>{file} holds secrets</DialogTitle>
      <DialogContent>
        <p style={{ marginTop: 0 }}>They open with the passphrase they were sealed with.</p>
        <TextField
          label="Passphrase"
          type="password"
          autoComplete="off"
          autoFocus
          value={passphrase}
          onChange={(e) => setPassphrase(e.target.value)}
          onKeyDown={(e) => e.key === 'Enter' && passphrase !== '' && onTake(passphrase)}
        />
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Leave it</Button>
        <Button onClick={() => onTake('')}>Without its secrets</Button>
        <Button variant="contained" disabled={passphrase === ''} onClick={() => onTake(passphrase)}>
          Make the job
        </Button>
      </DialogActions>
    </Dialog>
  )
}
