import Box from '@mui/material/Box'
import Paper from '@mui/material/Paper'
import type { Device, Job, Line } from '../../shared/api/types'
import { Page } from '../../shared/ui/Page'
import type { Column } from '../../shared/ui/SheetTable'
import { SheetTable } from '../../shared/ui/SheetTable'
import { MarkLegend, StateMark } from '../../shared/ui/StateMark'

interface Row {
  readonly line: Line
  readonly camera: Device
  readonly stopped: boolean
}

const columns: readonly Column<Row>[] = [
  { title: 'Line', cell: (r) => <b>{r.line.name}</b> },
  { title: 'Camera', cell: (r) => r.camera.profile },
  { title: 'Planned address', mono: true, cell: (r) => <Planned row={r} /> },
  { title: 'Control ID', mono: true, cell: (r) => r.line.controlId },
  {
    title: 'Key',
    cell: (r) =>
      r.line.key >= 0 ? (
        <>
          <span className="mono">{r.line.key}</span> on {r.line.controller}
        </>
      ) : (
        'none'
      ),
  },
  { title: 'State', cell: (r) => <StateMark mark={r.camera.mark} /> },
]

function Planned({ row }: { readonly row: Row }) {
  const address = row.camera.address || (row.camera.networked ? 'none' : 'no network')
  if (!row.stopped) return address
  return (
    <Box component="span" sx={{ color: 'error.main', fontWeight: 600 }}>
      {address} <StateMark mark="stopped" />
    </Box>
  )
}

/** A job's first page: one row a line, its whole thread. */
export function LineUpPage({ job }: { readonly job: Job }) {
  const stops = new Set(
    job.findings
      .filter((f) => f.severity === 'stop' && f.waiver.id === 0 && f.code.startsWith('ADDR-'))
      .flatMap((f) => f.deviceIds),
  )
  const devices = new Map(job.devices.map((d) => [d.id, d]))
  const rows = job.lines.flatMap((line) => {
    const camera = devices.get(line.cameraId)
    return camera ? [{ line, camera, stopped: stops.has(camera.id) }] : []
  })
  return (
    <Page title="Line-up" job={job} findings={job.findings}>
      {rows.length === 0 ? (
        <p>
          No lines yet: a line is one camera with everything that belongs to it. Add cameras on the Kit page
          and their lines are made.
        </p>
      ) : (
        <Paper>
          <SheetTable
            label="Line-up"
            columns={columns}
            rows={rows}
            rowKey={(r) => r.line.number}
            rowLabel={(r) => r.line.name}
            rowId={(r) => `line-${r.line.id}`}
          />
        </Paper>
      )}
      <MarkLegend marks={['planned', 'set', 'differs', 'stopped']} />
    </Page>
  )
}
