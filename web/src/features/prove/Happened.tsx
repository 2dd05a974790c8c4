import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import { useState } from 'react'
import { sentence } from '../../shared/api/client'
import { Trouble } from '../../shared/ui/Trouble'
import type { Row } from './matrix'
import type { useProve } from './useProve'
import { happenings } from './words'

interface Props {
  readonly row: Row
  readonly happened: ReturnType<typeof useProve>['happened']
}

/** After some things nothing that was known of a camera holds. */
export function Happened({ row, happened }: Props) {
  const [what, setWhat] = useState('knock')
  const [note, setNote] = useState('')
  const send = () =>
    happened.mutate({ deviceId: row.line.cameraId, what, note }, { onSuccess: () => setNote('') })
  return (
    <Box component="details" sx={{ mt: 2 }}>
      <summary>Something happened to it …</summary>
      <p>Everything that was proved of it before must be proved again then, for good.</p>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        <TextField select label="What" value={what} onChange={(e) => setWhat(e.target.value)}>
          {happenings.map((h) => (
            <MenuItem key={h.what} value={h.what}>
              {h.says}
            </MenuItem>
          ))}
        </TextField>
        <TextField label="Note" value={note} onChange={(e) => setNote(e.target.value)} />
        <Button variant="outlined" onClick={send} disabled={happened.isPending}>
          Note it
        </Button>
      </Box>
      {happened.error && <Trouble>{sentence(happened.error)}</Trouble>}
    </Box>
  )
}
