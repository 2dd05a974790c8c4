import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useRef, useState } from 'react'
import { sentence, upload } from '../../shared/api/client'
import { jobKeys } from '../../shared/api/job'
import { newKey } from '../../shared/api/newKey'
import type { Job } from '../../shared/api/types'
import { Trouble } from '../../shared/ui/Trouble'
import { work } from '../../shared/work'

/** A line of one's own, with a photo if there is one. */
export function NoteForm({ job }: { readonly job: Job }) {
  const queries = useQueryClient()
  const [text, setText] = useState('')
  const [device, setDevice] = useState('0')
  const [photo, setPhoto] = useState<File>()
  const file = useRef<HTMLInputElement>(null)
  /** Sent again after a lost answer, the note is not written twice. */
  const key = useRef(newKey())
  const send = useMutation({
    mutationFn: () => {
      const body = new FormData()
      body.set('text', text)
      body.set('device', device)
      if (photo) body.set('photo', photo)
      return work('Writing into the logbook', (onProgress) =>
        upload<void>(`/api/jobs/${job.id}/log`, body, onProgress, { 'Idempotency-Key': key.current }),
      )
    },
    onSuccess: async () => {
      key.current = newKey()
      setText('')
      setPhoto(undefined)
      if (file.current) file.current.value = ''
      await queries.invalidateQueries({ queryKey: jobKeys.one(job.id) })
    },
  })
  return (
    <Box
      component="form"
      onSubmit={(e) => {
        e.preventDefault()
        send.mutate()
      }}
      sx={{ maxWidth: 900, mb: 2 }}
    >
      <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'flex-start' }}>
        <TextField
          label="What should the next technician know?"
          multiline
          minRows={1}
          maxRows={6}
          value={text}
          onChange={(e) => setText(e.target.value)}
          sx={{ flex: 1, minWidth: 260 }}
          slotProps={{ htmlInput: { maxLength: 1000 } }}
        />
        <TextField
          select
          label="About"
          value={device}
          onChange={(e) => setDevice(e.target.value)}
          sx={{ width: 150 }}
        >
          <MenuItem value="0">the whole job</MenuItem>
          {job.devices.map((d) => (
            <MenuItem key={d.id} value={String(d.id)}>
              {d.name}
            </MenuItem>
          ))}
        </TextField>
        <Button variant="outlined" component="label">
          {photo ? photo.name.slice(0, 18) : 'Photo …'}
          <input
            ref={file}
            type="file"
            accept="image/jpeg,image/png"
            hidden
            aria-label="Photo"
            onChange={(e) => setPhoto(e.target.files?.[0])}
          />
        </Button>
        <Button type="submit" variant="contained" disabled={text.trim() === '' || send.isPending}>
          Write it
        </Button>
      </Box>
      {send.error && <Trouble>{sentence(send.error)}</Trouble>}
    </Box>
  )
}
