import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import Popover from '@mui/material/Popover'
import TextField from '@mui/material/TextField'
import { useState } from 'react'
import type { KeyboardEvent } from 'react'
import { editing, rights } from '../../shared/api/changes'
import { sentence } from '../../shared/api/client'
import { useChange } from '../../shared/api/job'
import type { Device, Edit, Line, Place } from '../../shared/api/types'
import type { Seat } from '../../shared/api/useSeat'
import { ChangeButton } from '../../shared/ui/ChangeButton'
import { OutOfLine } from './OutOfLine'

interface Props {
  readonly job: Seat
  readonly line: Line
  readonly place: Place | null
  /** What is asked for, for example "Key". */
  readonly what: string
  /** The line's fields for the device and the number on it. */
  readonly fields: readonly [device: string, number: string]
  readonly devices: readonly Device[]
  readonly out: boolean
  /** The same on a second controller. */
  readonly second?: Place | null
  /** An input has a tally: none for that of its own number. */
  readonly tally?: number | null
}

/** A key or an input: which device, and which number on it. */
export function PlaceCell({ job, line, place, what, fields, devices, out, second, tally }: Props) {
  const [anchor, setAnchor] = useState<HTMLElement>()
  const shown =
    place === null ? (
      '–'
    ) : (
      <Box component="span" sx={{ whiteSpace: 'nowrap' }}>
        <b className="mono">{place.number}</b>{' '}
        <Box component="span" sx={{ fontSize: '0.85rem' }}>
          {place.device}
        </Box>
      </Box>
    )
  const cell = (
    <OutOfLine out={out} line={line.name}>
      {shown}
      {second && (
        <Box component="span" sx={{ display: 'block', fontSize: '0.85rem' }}>
          also <b className="mono">{second.number}</b> {second.device}
        </Box>
      )}
      {tally ? (
        <Box component="span" sx={{ display: 'block', fontSize: '0.85rem', fontWeight: 600 }}>
          tally {tally}
        </Box>
      ) : null}
    </OutOfLine>
  )
  if (!rights(job).plan) return cell
  return (
    <>
      <ChangeButton label={`${what} of ${line.name}`} onClick={setAnchor}>
        {cell}
      </ChangeButton>
      {anchor && (
        <Popover open anchorEl={anchor} onClose={() => setAnchor(undefined)}>
          <Choosing
            {...{ job, line, place, what, fields, devices, ...(tally === undefined ? {} : { tally }) }}
            onLeave={() => setAnchor(undefined)}
          />
          {second !== undefined && (
            <Choosing
              {...{ job, line, devices }}
              place={second}
              what="Second key"
              fields={['also', 'alsoKey']}
              quiet
              onLeave={() => setAnchor(undefined)}
            />
          )}
        </Popover>
      )}
    </>
  )
}

type ChoosingProps = Omit<Props, 'out' | 'second'> & {
  readonly onLeave: () => void
  /** Not the first thing that is asked for. */
  readonly quiet?: boolean
}

function Choosing({ job, line, place, what, fields, devices, tally, onLeave, quiet = false }: ChoosingProps) {
  const only = devices.length === 1 ? String(devices[0]?.id) : ''
  const [device, setDevice] = useState(place ? String(place.deviceId) : only)
  const [number, setNumber] = useState(String(place?.number ?? line.number))
  const [light, setLight] = useState(tally ? String(tally) : '')
  const change = useChange(job.id)
  const take = (toDevice: string, toNumber: string) => {
    const before = place ? [String(place.deviceId), String(place.number)] : ['', '']
    const after = [toDevice, toNumber.trim()]
    const edits = fields.flatMap((field, i): Edit[] =>
      before[i] === after[i]
        ? []
        : [{ item: 'line', id: line.id, field, before: before[i] ?? '', after: after[i] ?? '' }],
    )
    const lightBefore = tally ? String(tally) : ''
    if (tally !== undefined && light.trim() !== lightBefore)
      edits.push({ item: 'line', id: line.id, field: 'tally', before: lightBefore, after: light.trim() })
    if (edits.length === 0) return onLeave()
    change.mutate(editing(...edits), { onSuccess: onLeave })
  }
  const onKey = (e: KeyboardEvent) => {
    if (e.key === 'Enter' && device) take(device, number)
  }
  return (
    <Box sx={{ p: 2, display: 'flex', flexDirection: 'column', gap: 1.5, width: 280 }}>
      <TextField
        select
        label={quiet ? 'Second controller' : `${what} on`}
        value={device}
        onChange={(e) => setDevice(e.target.value)}
      >
        {devices.map((d) => (
          <MenuItem key={d.id} value={String(d.id)}>
            {d.name}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        autoFocus={!quiet}
        label={quiet ? 'Number on it' : `${what} of ${line.name}`}
        value={number}
        onChange={(e) => setNumber(e.target.value)}
        onKeyDown={onKey}
        error={change.isError}
        helperText={change.error ? sentence(change.error) : 'Enter takes it'}
        slotProps={{ htmlInput: { className: 'mono', inputMode: 'numeric' } }}
      />
      {tally !== undefined && (
        <TextField
          label={`Tally of ${line.name}`}
          value={light}
          onChange={(e) => setLight(e.target.value)}
          onKeyDown={onKey}
          helperText="Empty for that of its input"
          slotProps={{ htmlInput: { className: 'mono', inputMode: 'numeric' } }}
        />
      )}
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button
          variant="contained"
          disabled={!device || change.isPending}
          onClick={() => take(device, number)}
        >
          {quiet ? 'Take the second' : 'Take it'}
        </Button>
        {place && <Button onClick={() => take('', '')}>{quiet ? 'No second' : 'None'}</Button>}
      </Box>
    </Box>
  )
}
