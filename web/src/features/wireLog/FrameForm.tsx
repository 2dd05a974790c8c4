import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import { useMutation, useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { get, post, sentence } from '../../shared/api/client'
import type { Desk, FrameAnswer, FrameView, Job } from '../../shared/api/types'
import { NumberChain } from '../../shared/ui/NumberChain'
import { Trouble } from '../../shared/ui/Trouble'

interface Props {
  readonly job: Job
  /** Chosen above; 0 for none. */
  readonly device: number
}

/** A frame typed by a lead, to one camera: what it is and does comes first, sending second. */
export function FrameForm({ job, device }: Props) {
  const [open, setOpen] = useState(false)
  const [hex, setHex] = useState('')
  const [chosen, setChosen] = useState(0)
  const desk = useQuery({
    queryKey: ['desk', job.id, job.version],
    queryFn: () => get<Desk>(`/api/jobs/${job.id}/desk`),
    enabled: open,
  })
  const cameras = desk.data?.cameras.filter((c) => !c.cannot) ?? []
  const to = chosen || device || (cameras[0]?.id ?? 0)
  const path = `/api/jobs/${job.id}/wire/frame`
  const look = useMutation({ mutationFn: () => post<FrameView>(`${path}/preview`, { device: to, hex }) })
  const send = useMutation({ mutationFn: () => post<FrameAnswer>(path, { device: to, hex }) })
  const change = (next: string) => {
    setHex(next)
    look.reset()
    send.reset()
  }
  if (!open) {
    return (
      <Button size="small" onClick={() => setOpen(true)} sx={{ px: 0 }}>
        Type a frame …
      </Button>
    )
  }
  const seen = look.data
  const error = look.error ?? send.error
  return (
    <Box
      component="form"
      aria-label="Type a frame"
      onSubmit={(e) => {
        e.preventDefault()
        look.mutate()
      }}
      sx={{ border: '1px solid', borderColor: 'divider', borderRadius: 1, p: 1.5, my: 1, maxWidth: 760 }}
    >
      <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'center' }}>
        <TextField
          select
          label="To"
          value={cameras.some((c) => c.id === to) ? to : ''}
          onChange={(e) => {
            setChosen(Number(e.target.value))
            look.reset()
            send.reset()
          }}
          sx={{ minWidth: 120 }}
        >
          {cameras.map((c) => (
            <MenuItem key={c.id} value={c.id}>
              {c.name}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          label="Octets in pairs"
          value={hex}
          onChange={(e) => change(e.target.value)}
          placeholder="81 09 00 02 FF"
          slotProps={{ htmlInput: { className: 'mono', spellCheck: false, maxLength: 64 } }}
          sx={{ flex: 1, minWidth: 240 }}
        />
        <Button type="submit" variant="outlined" disabled={look.isPending || to === 0}>
          What is it?
        </Button>
        <Button onClick={() => setOpen(false)}>Close</Button>
      </Box>
      {error && <Trouble>{sentence(error)}</Trouble>}
      {cameras.find((c) => c.id === to)?.chained && <NumberChain job={job.id} device={to} />}
      {seen && (
        <Box sx={{ mt: 1 }}>
          <div>
            <span className="mono">{seen.hex}</span>: <b>{seen.words}</b>
          </div>
          <div>{seen.does}</div>
          {seen.sendable && (
            <Button
              variant="contained"
              sx={{ mt: 1 }}
              disabled={send.isPending}
              color={seen.effect === 'reads' ? 'primary' : 'error'}
              onClick={() => send.mutate()}
            >
              Send it
            </Button>
          )}
          {send.data && (
            <Box role="status" sx={{ mt: 1 }}>
              Answer: <b>{send.data.answer}</b>
            </Box>
          )}
        </Box>
      )}
    </Box>
  )
}
