import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import { useState } from 'react'
import { editing } from '../shared/api/changes'
import { sentence } from '../shared/api/client'
import { useChange } from '../shared/api/job'
import type { Job } from '../shared/api/types'
import { Trouble } from '../shared/ui/Trouble'

/** The job's own name and units. */
export function JobSettings({ job, onClose }: { readonly job: Job; readonly onClose: () => void }) {
  const [name, setName] = useState(job.site.name)
  const [units, setUnits] = useState(job.site.units)
  const change = useChange(job.id)
  const edit = (field: string, before: string, after: string) =>
    before === after ? [] : [{ item: 'site', id: job.site.id, field, before, after }]
  const submit = () => {
    const edits = [...edit('name', job.site.name, name.trim()), ...edit('units', job.site.units, units)]
    if (edits.length === 0) return onClose()
    change.mutate(editing(...edits), { onSuccess: onClose })
  }
  return (
    <Dialog open onClose={onClose} maxWidth="xs" fullWidth>
      <form
        onSubmit={(e) => {
          e.preventDefault()
          submit()
        }}
      >
        <DialogTitle>This job</DialogTitle>
        <DialogContent sx={{ display: 'grid', gap: 2 }}>
          <TextField
            label="Name"
            value={name}
            onChange={(e) => setName(e.target.value)}
            autoFocus
            required
            sx={{ mt: 1 }}
          />
          <TextField select label="Lengths in" value={units} onChange={(e) => setUnits(e.target.value)}>
            <MenuItem value="m">metres</MenuItem>
            <MenuItem value="ft">feet</MenuItem>
          </TextField>
          {change.error && <Trouble>{sentence(change.error)}</Trouble>}
        </DialogContent>
        <DialogActions>
          <Button onClick={onClose}>Leave as it is</Button>
          <Button type="submit" variant="contained" disabled={change.isPending}>
            Save
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  )
}
