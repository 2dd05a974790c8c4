import NativeSelect from '@mui/material/NativeSelect'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import { useState } from 'react'
import { post, sentence } from '../../shared/api/client'
import { useJobRequest } from '../../shared/api/job'
import { duration } from '../../shared/format/duration'
import type { Job, JobPatch, PresetRow } from '../../shared/api/types'
import { ClearFirst } from '../../shared/ui/ClearFirst'
import { Trouble } from '../../shared/ui/Trouble'
import { useRowRun } from './useRowRun'

interface Props {
  readonly job: Job
  readonly row: PresetRow
  /** Of all cameras that keep views. */
  readonly rows: readonly PresetRow[]
  readonly onAir: boolean
}

/** What is done with a whole row: checked against what was read, written back, copied. */
export function RowTools({ job, row, rows, onAir }: Props) {
  const [asked, setAsked] = useState<'check' | 'write'>()
  const [copying, setCopying] = useState(false)
  const read = row.presets.filter((p) => typeof p.pan === 'number').length
  if (read === 0) return null
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 0.5 }}>
      <Button size="small" onClick={() => setAsked('check')}>
        Check this row …
      </Button>
      <Button size="small" onClick={() => setAsked('write')}>
        Write it back …
      </Button>
      <Button size="small" onClick={() => setCopying(true)}>
        Copy it to another camera …
      </Button>
      <Button size="small" href={`/api/jobs/${job.id}/presets/key-map.pdf`} download>
        Key map (PDF)
      </Button>
      {asked && (
        <RunRow
          job={job}
          row={row}
          read={read}
          what={asked}
          onAir={onAir}
          onClose={() => setAsked(undefined)}
        />
      )}
      {copying && <CopyRow job={job} row={row} rows={rows} onClose={() => setCopying(false)} />}
    </Box>
  )
}

interface RunProps {
  readonly job: Job
  readonly row: PresetRow
  readonly read: number
  readonly what: 'check' | 'write'
  readonly onAir: boolean
  readonly onClose: () => void
}

/** What will move and how long, and "clear" before it does. */
function RunRow({ job, row, read, what, onAir, onClose }: RunProps) {
  const [clear, setClear] = useState(false)
  const { start } = useRowRun(job.id)
  const noted = row.presets.length - read
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth>
      <DialogTitle>
        {what === 'check' ? `Check the row of ${row.camera}` : `Write the row of ${row.camera} back`}
      </DialogTitle>
      <DialogContent>
        {what === 'check'
          ? 'It goes to each view as the camera keeps it; where it stands then is compared with what was read when the view was stored.'
          : 'It is driven to each place as it was read, its knobs are set as they were, and the camera stores it anew: for one that was swapped or reset.'}{' '}
        In the end head and knobs are put back.
        <p>
          <b>{read}</b> views, about {duration(row.rowSeconds)} by the profile.
          {noted > 0 && ` ${noted} more were only noted, never read: they are left out.`}
        </p>
        <ClearFirst where="head" clear={clear} onClear={setClear}>
          {row.camera} moves by itself. Hands, cables and people clear, nobody below. STOP ALL ends it at any
          moment.
        </ClearFirst>
        {onAir && <Trouble>{row.camera} is on air. Take it off air first.</Trouble>}
        {start.error && <Trouble>{sentence(start.error)}</Trouble>}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Leave it</Button>
        <Button
          variant="contained"
          disabled={!clear || onAir || start.isPending}
          onClick={() => start.mutate({ device: row.device, what, clear }, { onSuccess: onClose })}
        >
          {what === 'check' ? 'Check' : 'Write'} {read} views
        </Button>
      </DialogActions>
    </Dialog>
  )
}

interface CopyProps {
  readonly job: Job
  readonly row: PresetRow
  readonly rows: readonly PresetRow[]
  readonly onClose: () => void
}

/** Another camera is to have the same views; it stores them when its row is written. */
function CopyRow({ job, row, rows, onClose }: CopyProps) {
  const others = rows.filter((r) => r.device !== row.device)
  const [to, setTo] = useState(others[0]?.device ?? 0)
  const copy = useJobRequest<void>(() =>
    post<JobPatch>(`/api/jobs/${job.id}/presets/${row.device}/copy`, { to }),
  )
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth>
      <DialogTitle>Copy the row of {row.camera}</DialogTitle>
      <DialogContent>
        {others.length === 0 ? (
          'No other camera of this job keeps views.'
        ) : (
          <label>
            To{' '}
            <NativeSelect value={to} onChange={(e) => setTo(Number(e.target.value))}>
              {others.map((r) => (
                <option key={r.device} value={r.device}>
                  {r.camera} ({r.presets.length} views)
                </option>
              ))}
            </NativeSelect>
          </label>
        )}
        <p>
          Numbers that it has already stay as they are. The views are noted for it; press “Write it back”
          there to have it store them. It hangs elsewhere: look at each picture.
        </p>
        {copy.error && <Trouble>{sentence(copy.error)}</Trouble>}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Leave it</Button>
        <Button
          variant="contained"
          disabled={to === 0 || copy.isPending}
          onClick={() => copy.mutate(undefined, { onSuccess: onClose })}
        >
          Copy
        </Button>
      </DialogActions>
    </Dialog>
  )
}
