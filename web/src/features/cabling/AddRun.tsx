import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { adding } from '../../shared/api/changes'
import { get, sentence } from '../../shared/api/client'
import { jobKeys, useChange } from '../../shared/api/job'
import type { Job, JoinOffer } from '../../shared/api/types'
import { length } from '../../shared/format/length'
import { Trouble } from '../../shared/ui/Trouble'
import { cableWords } from './cableWords'

interface Props {
  readonly job: Job
  readonly onClose: () => void
}

interface SocketOf {
  readonly port: string
  readonly free: boolean
}

/** A run by hand: a device, one of its sockets, and every socket it can be joined with. */
export function AddRun({ job, onClose }: Props) {
  const [device, setDevice] = useState<number>()
  const [port, setPort] = useState('')
  const [to, setTo] = useState<JoinOffer>()
  const [cable, setCable] = useState('')
  const [metres, setMetres] = useState(length(job.site.usualRun, job.site.units))
  const change = useChange(job.id)
  const sockets = useQuery({
    queryKey: [...jobKeys.cabling(job.id), 'sockets', device, job.version],
    queryFn: () => get<SocketOf[]>(`/api/jobs/${job.id}/cabling/sockets?device=${device}`),
    enabled: device !== undefined,
  })
  const joins = useQuery({
    queryKey: [...jobKeys.cabling(job.id), 'joins', device, port, job.version],
    queryFn: () =>
      get<JoinOffer[]>(`/api/jobs/${job.id}/cabling/joins?device=${device}&port=${encodeURIComponent(port)}`),
    enabled: device !== undefined && port !== '',
  })
  const add = () =>
    to &&
    change.mutate(
      adding('run', {
        from: String(device),
        fromPort: port,
        to: String(to.device),
        toPort: to.port,
        cable: cable || (to.cables[0] ?? ''),
        metres,
      }),
      { onSuccess: onClose },
    )
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth>
      <DialogTitle>Add a run</DialogTitle>
      <DialogContent sx={{ display: 'flex', flexDirection: 'column', gap: 2, pt: '8px !important' }}>
        <TextField
          select
          label="From"
          value={device ?? ''}
          onChange={(e) => {
            setDevice(Number(e.target.value))
            setPort('')
            setTo(undefined)
          }}
        >
          {job.devices.map((d) => (
            <MenuItem key={d.id} value={d.id}>
              {d.name}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          select
          label="Its socket"
          value={port}
          disabled={!sockets.data}
          onChange={(e) => {
            setPort(e.target.value)
            setTo(undefined)
          }}
        >
          {sockets.data?.map((s) => (
            <MenuItem key={s.port} value={s.port} disabled={!s.free}>
              {s.port}
              {s.free ? '' : ', in use'}
            </MenuItem>
          ))}
        </TextField>
        {joins.data && <Joins offers={joins.data} chosen={to} onChoose={setTo} />}
        {to && (
          <TextField
            select
            label="Cable"
            value={cable || to.cables[0]}
            onChange={(e) => setCable(e.target.value)}
          >
            {to.cables.map((c) => (
              <MenuItem key={c} value={c}>
                {cableWords[c] ?? c}
              </MenuItem>
            ))}
          </TextField>
        )}
        <TextField
          label="Length"
          value={metres}
          onChange={(e) => setMetres(e.target.value)}
          slotProps={{ htmlInput: { className: 'mono' } }}
        />
        {(sockets.error ?? joins.error ?? change.error) && (
          <Trouble>{sentence(sockets.error ?? joins.error ?? change.error)}</Trouble>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Leave it</Button>
        <Button variant="contained" onClick={add} disabled={!to || change.isPending}>
          Add
        </Button>
      </DialogActions>
    </Dialog>
  )
}

interface JoinsProps {
  readonly offers: readonly JoinOffer[]
  readonly chosen: JoinOffer | undefined
  readonly onChoose: (offer: JoinOffer) => void
}

const nameOf = (o: JoinOffer) => `${o.name} ${o.port}`

/** What it can be joined with; what it cannot, with the reason. */
function Joins({ offers, chosen, onChoose }: JoinsProps) {
  const possible = offers.filter((o) => o.refusal === '')
  const refused = offers.filter((o) => o.refusal !== '')
  if (possible.length === 0) {
    return (
      <Box role="status">
        {refused.length === 0
          ? 'Nothing on the van has a socket for this one.'
          : `Nothing it could be joined with is free. ${nameOf(refused[0]!)}: ${refused[0]!.refusal}.`}
      </Box>
    )
  }
  return (
    <>
      <TextField
        select
        label="To"
        value={chosen ? nameOf(chosen) : ''}
        onChange={(e) => {
          const offer = possible.find((o) => nameOf(o) === e.target.value)
          if (offer) onChoose(offer)
        }}
      >
        {possible.map((o) => (
          <MenuItem key={nameOf(o)} value={nameOf(o)}>
            {nameOf(o)}
          </MenuItem>
        ))}
      </TextField>
      {refused.length > 0 && (
        <details>
          <summary>What cannot be, and why: {refused.length}</summary>
          <ul style={{ margin: 0, paddingLeft: 20, maxHeight: 160, overflow: 'auto' }}>
            {refused.map((o) => (
              <li key={nameOf(o)}>
                {nameOf(o)}: {o.refusal}
              </li>
            ))}
          </ul>
        </details>
      )}
    </>
  )
}
