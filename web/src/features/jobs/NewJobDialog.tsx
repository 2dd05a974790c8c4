import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import { useMutation } from '@tanstack/react-query'
import { useState } from 'react'
import { Refused, post, sentence } from '../../shared/api/client'
import type { Job } from '../../shared/api/types'
import { Trouble } from '../../shared/ui/Trouble'

interface Props {
  readonly onClose: () => void
  readonly onMade: (job: Job) => void
}

/** An empty job: its name and the house network. */
export function NewJobDialog({ onClose, onMade }: Props) {
  const [job, setJob] = useState({ name: '', units: 'm', cidr: '', gateway: '' })
  const make = useMutation({ mutationFn: () => post<Job>('/api/jobs', job), onSuccess: onMade })
  const wrong = make.error instanceof Refused ? make.error.body.field : undefined
  const field = (name: keyof typeof job, label: string, hint: string) => (
    <TextField
      label={label}
      value={job[name]}
      onChange={(e) => setJob({ ...job, [name]: e.target.value })}
      error={wrong === name}
      helperText={wrong === name ? sentence(make.error) : hint}
      autoFocus={name === 'name'}
      required
      slotProps={{ htmlInput: { spellCheck: false, ...(name === 'name' ? {} : { className: 'mono' }) } }}
    />
  )
  return (
    <Dialog open onClose={onClose} maxWidth="xs" fullWidth>
      <form
        onSubmit={(e) => {
          e.preventDefault()
          make.mutate()
        }}
      >
        <DialogTitle>New job</DialogTitle>
        <DialogContent>
          <Box sx={{ display: 'grid', gap: 2, pt: 1 }}>
            {field('name', 'Name', 'The place, as you speak of it')}
            {field('cidr', 'House network', 'For example 10.44.8.0/24')}
            {field('gateway', 'Gateway', 'The router’s address in it')}
            <TextField
              select
              label="Lengths in"
              value={job.units}
              onChange={(e) => setJob({ ...job, units: e.target.value })}
            >
              <MenuItem value="m">metres</MenuItem>
              <MenuItem value="ft">feet</MenuItem>
            </TextField>
            {make.error && wrong === undefined && <Trouble>{sentence(make.error)}</Trouble>}
          </Box>
        </DialogContent>
        <DialogActions>
          <Button onClick={onClose}>Cancel</Button>
          <Button type="submit" variant="contained" disabled={make.isPending}>
            Make it
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  )
}
