import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import { useState } from 'react'
import { post, sentence } from '../../shared/api/client'
import { useJobRequest } from '../../shared/api/job'
import type { Job, JobPatch, SecretRow } from '../../shared/api/types'
import { Trouble } from '../../shared/ui/Trouble'
import { useWords } from './secretWords'

interface Props {
  readonly job: Job
  readonly secret: SecretRow
  readonly onClose: () => void
}

/** A secret that somebody brings along: typed once, kept encrypted. */
export function TypeSecret({ job, secret, onClose }: Props) {
  const [use, setUse] = useState(secret.use)
  const [device, setDevice] = useState(secret.deviceId)
  const [name, setName] = useState(secret.name)
  const [value, setValue] = useState('')
  const send = useJobRequest(() =>
    post<JobPatch>(`/api/jobs/${job.id}/secrets`, { id: secret.id, deviceId: device, use, name, value }),
  )
  const free = secret.id === null && secret.deviceId === null
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm">
      <DialogTitle>
        {secret.device ? `${useWords[use]} of ${secret.device}` : 'A key of the house'}
      </DialogTitle>
      <DialogContent sx={{ display: 'flex', flexDirection: 'column', gap: 2 }}>
        {free && (
          <>
            <TextField
              select
              label="What it is"
              value={use}
              onChange={(e) => setUse(e.target.value)}
              sx={{ mt: 1 }}
            >
              {Object.entries(useWords)
                .filter(([word]) => word !== 'password')
                .map(([word, text]) => (
                  <MenuItem key={word} value={word}>
                    {text}
                  </MenuItem>
                ))}
            </TextField>
            <TextField
              select
              label="Whose it is"
              value={device ?? 0}
              onChange={(e) => setDevice(Number(e.target.value) || null)}
            >
              <MenuItem value={0}>the house</MenuItem>
              {job.devices.map((d) => (
                <MenuItem key={d.id} value={d.id}>
                  {d.name}
                </MenuItem>
              ))}
            </TextField>
          </>
        )}
        <TextField
          label={use === 'password' ? 'User' : 'Network, service or end it belongs to'}
          value={name}
          onChange={(e) => setName(e.target.value)}
          sx={{ mt: free ? 0 : 1 }}
          slotProps={{ htmlInput: { className: 'mono', maxLength: 64 } }}
        />
        <TextField
          label="Secret"
          value={value}
          onChange={(e) => setValue(e.target.value)}
          autoFocus
          autoComplete="off"
          helperText={use === 'password' ? `At most ${secret.longest} characters` : undefined}
          slotProps={{ htmlInput: { className: 'mono', spellCheck: false, maxLength: 200 } }}
        />
        {send.error && <Trouble>{sentence(send.error)}</Trouble>}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Leave it</Button>
        <Button
          variant="contained"
          disabled={value === '' || send.isPending}
          onClick={() => send.mutate(undefined, { onSuccess: onClose })}
        >
          Keep it
        </Button>
      </DialogActions>
    </Dialog>
  )
}
