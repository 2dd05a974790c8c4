import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import TextField from '@mui/material/TextField'
import { useState } from 'react'
import { editing } from '../../shared/api/changes'
import { sentence } from '../../shared/api/client'
import { useChange } from '../../shared/api/job'
import type { JobSummary } from '../../shared/api/types'

/** Another name for a job; undone like any change, in the job. */
export function RenameDialog({ job, onClose }: { readonly job: JobSummary; readonly onClose: () => void }) {
  const [name, setName] = useState(job.name)
  const change = useChange(job.id)
  const submit = () =>
    change.mutate(
      editing({ item: 'site', id: job.siteId, field: 'name', before: job.name, after: name.trim() }),
      { onSuccess: onClose },
    )
  return (
    <Dialog open onClose={onClose} maxWidth="xs" fullWidth>
      <form
        onSubmit={(e) => {
          e.preventDefault()
          submit()
        }}
      >
        <DialogTitle>Rename</DialogTitle>
        <DialogContent>
          <TextField
            fullWidth
            autoFocus
            required
            label="Name"
            value={name}
            onChange={(e) => setName(e.target.value)}
            error={change.isError}
            helperText={change.error ? sentence(change.error) : ' '}
            sx={{ mt: 1 }}
          />
        </DialogContent>
        <DialogActions>
          <Button onClick={onClose}>Leave as it is</Button>
          <Button type="submit" variant="contained" disabled={change.isPending}>
            Rename
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  )
}
