import Box from '@mui/material/Box'
import Paper from '@mui/material/Paper'
import useMediaQuery from '@mui/material/useMediaQuery'
import { useMemo } from 'react'
import type { DragEvent } from 'react'
import { ofDevice } from '../../shared/api/about'
import { rights } from '../../shared/api/changes'
import { post, sentence } from '../../shared/api/client'
import { useJobRequest } from '../../shared/api/job'
import type { Device, Finding, Job, JobPatch, Line } from '../../shared/api/types'
import type { Seat } from '../../shared/api/useSeat'
import { useSeat } from '../../shared/api/useSeat'
import { formats } from '../../shared/formats'
import { ChoiceCell } from '../../shared/ui/ChoiceCell'
import { EditCell } from '../../shared/ui/EditCell'
import type { Column } from '../../shared/ui/SheetTable'
import { SheetTable } from '../../shared/ui/SheetTable'
import { StateMark } from '../../shared/ui/StateMark'
import { Trouble } from '../../shared/ui/Trouble'
import { useSame } from '../../shared/ui/useSame'
import { useSteady } from '../../shared/ui/useSteady'
import { places } from '../../shared/places'
import { MoveHandle } from './MoveHandle'
import { OutOfLine } from './OutOfLine'
import { PlaceCell } from './PlaceCell'

interface Row {
  readonly line: Line
  readonly camera: Device
  readonly at: number
  /** What stops its camera, and nobody waived. */
  readonly stops: readonly Finding[]
}

interface Move {
  readonly line: number
  readonly to: number
}

/** One row a line, its stations in the order of the work; each is edited where it stands. */
export function ThreadTable({ job }: { readonly job: Job }) {
  const move = useJobRequest((m: Move) =>
    post<JobPatch>(`/api/jobs/${job.id}/lines/${m.line}/place`, { to: m.to }),
  )
  const wide = useMediaQuery('(min-width:1200px)')
  const devices = new Map(job.devices.map((d) => [d.id, d]))
  const rows = job.lines.flatMap((line, at) => {
    const camera = devices.get(line.cameraId)
    return camera ? [{ line, camera, at, stops: stopsOf(job, camera) }] : []
  })
  const moveBy = useSteady((row: Row, by: number) => {
    const to = row.at + by
    if (to < 0 || to >= rows.length || move.isPending) return
    move.mutate(
      { line: row.line.id, to },
      { onSuccess: () => setTimeout(() => document.getElementById(`move-${row.line.id}`)?.focus()) },
    )
  })
  const seat = useSeat(job)
  const controllers = useSame(job.devices.filter(controls))
  const switchers = useSame(job.devices.filter(switches))
  const columns = useMemo(
    () => columnsOf(seat, { controllers, switchers }, moveBy, wide),
    [seat, controllers, switchers, moveBy, wide],
  )
  const onDrop = (e: DragEvent) => {
    const id = Number(e.dataTransfer.getData('text/jerboa-line'))
    const over = (e.target as HTMLElement).closest('[data-row]')?.getAttribute('data-row')
    const to = rows.find((r) => r.line.name === over)?.at
    if (id && to !== undefined) move.mutate({ line: id, to })
  }
  return (
    <Paper
      data-scrolls=""
      tabIndex={0}
      sx={{ overflowX: 'auto', '& th, & td': { px: 0.75, py: '1px', lineHeight: 1.2, height: 38 } }}
      onDragOver={(e) => e.preventDefault()}
      onDrop={onDrop}
    >
      {move.error && <Trouble>{sentence(move.error)}</Trouble>}
      <SheetTable
        label="Line-up"
        columns={columns}
        rows={rows}
        rowKey={(r) => r.line.id}
        rowLabel={(r) => r.line.name}
        rowId={(r) => `line-${r.line.id}`}
      />
    </Paper>
  )
}

/** What has keys, and what has inputs. */
interface Places {
  readonly controllers: readonly Device[]
  readonly switchers: readonly Device[]
}

const controls = (d: Device) => d.kind === 'controller' || d.sort === 'computer-switcher'
const switches = (d: Device) => d.sort === 'video-switcher' || d.sort === 'computer-switcher'

const stopsOf = (job: Job, camera: Device) =>
  ofDevice(job.findings, camera.id).filter((f) => f.severity === 'stop' && f.waiver === null)

/** On a narrow window what stands on the Kit page as well is left out. */
function columnsOf(
  job: Seat,
  { controllers, switchers }: Places,
  moveBy: (row: Row, by: number) => void,
  wide: boolean,
): readonly Column<Row>[] {
  const panels = controllers.filter((d) => d.sort === 'paint-panel')
  const handle: Column<Row> = {
    title: 'Move',
    head: <span />,
    cell: (r) => <MoveHandle line={r.line} onMove={(by) => moveBy(r, by)} />,
  }
  const place = (
    r: Row,
    what: string,
    value: Line['key'],
    fields: readonly [string, string],
    of: readonly Device[],
    aspect: string,
  ) => (
    <PlaceCell
      job={job}
      line={r.line}
      place={value}
      what={what}
      fields={fields}
      devices={of}
      out={r.line.outOfLine.some((o) => o === aspect || (aspect === 'input' && o === 'tally'))}
      {...(what === 'Input' ? { tally: r.line.tally } : {})}
      {...(what === 'Key' ? { second: r.line.also } : {})}
    />
  )
  const stations: readonly Station[] = [
    {
      title: 'Line',
      cell: (r) => <b style={{ fontSize: '1.1rem' }}>{r.line.name}</b>,
    },
    { title: 'Camera', cell: (r) => r.camera.profile },
    {
      title: 'Mount',
      cell: (r) => (
        <ChoiceCell
          job={job}
          item="mount"
          id={r.line.mountId}
          field="place"
          value={r.line.place}
          label={`Place of ${r.line.name}`}
          choices={places}
          {...(r.line.mountId === null ? { adds: { camera: String(r.camera.id) } } : {})}
        />
      ),
    },
    { title: 'Power', mono: true, cell: (r) => <Watts line={r.line} /> },
    {
      title: 'Format',
      mono: true,
      cell: (r) => (
        <ChoiceCell
          job={job}
          item="device"
          id={r.camera.id}
          field="format"
          value={r.camera.format}
          label={`Format ${r.line.name} is set to`}
          choices={{ '': '–', ...formats }}
        />
      ),
      fields: ['format'],
    },
    {
      title: 'Address',
      mono: true,
      cell: (r) => <Planned job={job} row={r} />,
      fields: ['address', 'prefix', 'gateway'],
    },
    {
      title: 'ID',
      mono: true,
      cell: (r) => (
        <EditCell
          job={job}
          item="line"
          id={r.line.id}
          field="controlId"
          value={String(r.line.controlId)}
          label={`Control ID of ${r.line.name}`}
          hint="1 to 7 on a chain, to 255 on a bus"
        >
          <OutOfLine out={r.line.outOfLine.includes('id')} line={r.line.name}>
            {r.line.controlId}
          </OutOfLine>
        </EditCell>
      ),
      fields: ['controlId'],
    },
    {
      title: 'Key',
      cell: (r) => place(r, 'Key', r.line.key, ['controller', 'key'], controllers, 'key'),
      fields: ['key', 'controller'],
    },
    {
      title: 'Paint',
      cell: (r) => place(r, 'Paint key', r.line.paint, ['panel', 'panelKey'], panels, 'paint-key'),
      fields: ['panelKey', 'panel'],
    },
    {
      title: 'Input',
      cell: (r) => place(r, 'Input', r.line.input, ['switcher', 'input'], switchers, 'input'),
      fields: ['input'],
    },
    { title: 'State', cell: (r) => <State line={r.line} camera={r.camera} /> },
  ]
  const columns = stations
    .filter((s) => wide || s.title !== 'Mount')
    .map(({ fields, ...c }) =>
      fields
        ? {
            ...c,
            cell: (r: Row) => (
              <>
                {c.cell(r)}
                <Stops stops={r.stops} fields={fields} />
              </>
            ),
          }
        : c,
    )
  return rights(job).plan ? [handle, ...columns] : columns
}

/** How far a line is, and how many of the tests it needs prove it. */
function State({ line, camera }: { readonly line: Line; readonly camera: Device }) {
  return (
    <>
      <StateMark mark={camera.mark} />
      <Box component="span" sx={{ display: 'block', color: 'text.secondary', fontSize: '0.85rem' }}>
        <span title="tests that are asked or seen, of those it needs">
          {line.proved} of {line.toProve}
        </span>
      </Box>
    </>
  )
}

interface Station extends Column<Row> {
  /** Fields whose stop findings stand at this station. */
  readonly fields?: readonly string[]
}

interface StopsProps {
  readonly stops: readonly Finding[]
  readonly fields: readonly string[]
}

/** That something stops a camera at one station; the margin says what. */
function Stops({ stops, fields }: StopsProps) {
  const here = stops.filter((f) => fields.includes(f.field))
  if (here.length === 0) return null
  return (
    <Box
      component="span"
      title={here.map((f) => `${f.code}: ${f.what}`).join('\n')}
      sx={{
        display: 'block',
        color: 'error.main',
        fontSize: '0.85rem',
        fontWeight: 600,
        whiteSpace: 'nowrap',
      }}
    >
      ▲ stop
    </Box>
  )
}

/** The most it takes, and the port that its run starts at. */
function Watts({ line }: { readonly line: Line }) {
  const port = line.port.split(' ').at(-1) ?? ''
  return (
    <Box sx={{ whiteSpace: 'nowrap' }} title={line.port}>
      {line.watts > 0 ? `${line.watts} W` : '–'}
      {port && (
        <Box
          sx={{ fontSize: '0.85rem', color: 'text.secondary', fontFamily: (t) => t.typography.fontFamily }}
        >
          port {port}
        </Box>
      )}
    </Box>
  )
}

function Planned({ job, row }: { readonly job: Seat; readonly row: Row }) {
  const { line, camera } = row
  if (!camera.networked) return 'no network'
  return (
    <EditCell
      job={job}
      item="device"
      id={camera.id}
      field="address"
      value={camera.address}
      label={`Address of ${line.name}`}
      hint="Enter takes it, empty plans none"
    >
      <OutOfLine out={line.outOfLine.includes('address')} line={line.name}>
        {camera.address || 'none'}
      </OutOfLine>
    </EditCell>
  )
}
