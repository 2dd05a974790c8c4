import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import TextField from '@mui/material/TextField'
import { useState } from 'react'
import { sentence } from '../../shared/api/client'
import type { Step } from '../../shared/api/types'
import { Trouble } from '../../shared/ui/Trouble'
import type { useBringUp } from './useBringUp'

interface Props {
  readonly step: Step
  readonly bringUp: ReturnType<typeof useBringUp>
}

type Open = 'differs' | 'aside' | undefined

/** When a step does not go as it says: write what was seen, and go on from there. */
export function Otherwise({ step, bringUp }: Props) {
  const [open, setOpen] = useState<Open>()
  return (
    <>
      <Button size="large" onClick={() => setOpen('differs')}>
        It differs …
      </Button>
      <Button size="large" onClick={() => setOpen('aside')}>
        It did not work …
      </Button>
      {open && <Telling step={step} bringUp={bringUp} kind={open} onClose={() => setOpen(undefined)} />}
    </>
  )
}

interface TellingProps extends Props {
  readonly kind: 'differs' | 'aside'
  readonly onClose: () => void
}

function Telling({ step, bringUp, kind, onClose }: TellingProps) {
  const [saw, setSaw] = useState('')
  const [address, setAddress] = useState('')
  const send = kind === 'differs' ? bringUp.differs : bringUp.aside
  const differs = kind === 'differs'
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm">
      <DialogTitle>
        {differs ? `${step.device} is not as planned` : `${step.device} did not work`}
      </DialogTitle>
      <DialogContent>
        <p style={{ marginTop: 0 }}>
          {differs
            ? 'What is left is planned anew from what you found. With the address it answers at, it is brought to its place from there.'
            : 'It is put aside with all that is known, and the others go on. Disconnect it first, so that it fights with nobody; "Plan the rest anew" brings it back.'}
        </p>
        <TextField
          label="What you saw"
          value={saw}
          onChange={(e) => setSaw(e.target.value)}
          fullWidth
          autoFocus
          multiline
          sx={{ mb: 2 }}
          slotProps={{ htmlInput: { maxLength: 300 } }}
        />
        {differs && (
          <TextField
            label="Address it answers at, if any"
            value={address}
            onChange={(e) => setAddress(e.target.value)}
            slotProps={{ htmlInput: { className: 'mono' } }}
          />
        )}
        {send.error && <Trouble>{sentence(send.error)}</Trouble>}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Leave it</Button>
        <Button
          variant="contained"
          disabled={saw.trim() === '' || send.isPending}
          onClick={() => send.mutate({ step: step.number, saw, address }, { onSuccess: onClose })}
        >
          {differs ? 'Note it and plan on' : 'Put it aside'}
        </Button>
      </DialogActions>
    </Dialog>
  )
}
