import Box from '@mui/material/Box'
import ButtonBase from '@mui/material/ButtonBase'
import Paper from '@mui/material/Paper'
import TextField from '@mui/material/TextField'
import { useDeferredValue, useMemo, useRef, useState } from 'react'
import type { ReactNode } from 'react'
import { rights } from '../../shared/api/changes'
import type { Device, Job } from '../../shared/api/types'
import type { Seat } from '../../shared/api/useSeat'
import { useSeat } from '../../shared/api/useSeat'
import { formats } from '../../shared/formats'
import { ChoiceCell } from '../../shared/ui/ChoiceCell'
import { EditCell } from '../../shared/ui/EditCell'
import type { Column } from '../../shared/ui/SheetTable'
import { TallSheet } from '../../shared/ui/TallSheet'
import { useSteady } from '../../shared/ui/useSteady'
import { ManyAtOnce } from './ManyAtOnce'
import { conditions } from './conditions'
import type { SortBy } from './kitRows'
import { chosen, kitRows } from './kitRows'

const NONE: ReadonlySet<number> = new Set()

interface Props {
  readonly job: Job
  readonly onFacts: (profile: string) => void
}

/** The devices on the van: found, sorted, edited where they stand, one or many at once. */
export function KitTable({ job, onFacts }: Props) {
  const [wanted, setWanted] = useState('')
  const [sort, setSort] = useState<{ by: SortBy; down: boolean }>()
  const [ticked, setTicked] = useState(NONE)
  const last = useRef<number>(undefined)
  const looked = useDeferredValue(wanted)
  const rows = useMemo(() => kitRows(job.devices, looked, sort), [job.devices, looked, sort])
  const here = useMemo(() => job.devices.filter((d) => ticked.has(d.id)), [job.devices, ticked])
  const may = rights(job).plan
  const seat = useSeat(job)
  const tick = useSteady((id: number, shift: boolean) => {
    setTicked(chosen(rows, ticked, id, shift ? last.current : undefined))
    last.current = id
  })
  const turn = useSteady((by: SortBy) =>
    setSort(sort?.by !== by ? { by, down: false } : sort.down ? undefined : { by, down: true }),
  )
  const ticks = useMemo(() => ticksOf(ticked, tick), [ticked, tick])
  const told = useMemo(() => columnsOf(seat, onFacts), [seat, onFacts])
  const columns = useMemo(
    () => [
      ...(may
        ? [
            {
              title: 'Ticked',
              width: 40,
              head: <TickAll rows={rows} ticked={ticked} some={here.length > 0} onAll={setTicked} />,
              cell: ticks,
            },
          ]
        : []),
      ...told.map((c) =>
        c.by ? { ...c, head: <SortHead title={c.title} by={c.by} sort={sort} onTurn={turn} /> } : c,
      ),
    ],
    [may, rows, ticked, here.length, ticks, told, sort, turn],
  )
  if (job.devices.length === 0) {
    return (
      <Paper sx={{ p: 2 }}>
        Nothing is on the van yet. Type how many of what on the left, for example{' '}
        <span className="mono">6 ceiling ptz</span>, and press Enter; or paste a list from a spreadsheet.
        Names, lines, keys and addresses are worked out.
      </Paper>
    )
  }
  return (
    <Paper sx={{ display: 'flex', flexDirection: 'column', flex: 1, minHeight: 0 }}>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', p: 1, flexWrap: 'wrap' }}>
        <TextField
          label="Find on the van"
          value={wanted}
          onChange={(e) => setWanted(e.target.value)}
          sx={{ width: 220 }}
        />
        <Box sx={{ color: 'text.secondary' }} role="status">
          {rows.length === job.devices.length ? '' : `${rows.length} of ${job.devices.length}`}
        </Box>
        {may && here.length > 0 && <ManyAtOnce job={job} devices={here} onDone={() => setTicked(NONE)} />}
      </Box>
      <TallSheet
        label="Kit"
        columns={columns}
        rows={rows}
        rowKey={(d) => d.id}
        rowLabel={(d) => d.name}
        rowId={(d) => `device-${d.id}`}
      />
    </Paper>
  )
}

/** The first column: what is done is done to all that are ticked. */
function ticksOf(
  ticked: ReadonlySet<number>,
  onTick: (id: number, shift: boolean) => void,
): (d: Device) => ReactNode {
  return function tickOf(d) {
    return (
      <input
        type="checkbox"
        className="tick"
        checked={ticked.has(d.id)}
        onClick={(e) => onTick(d.id, e.shiftKey)}
        onChange={() => undefined}
        aria-label={`Tick ${d.name}`}
      />
    )
  }
}

interface TickAllProps {
  readonly rows: readonly Device[]
  readonly ticked: ReadonlySet<number>
  /** Of all on the van, shown or not. */
  readonly some: boolean
  readonly onAll: (all: ReadonlySet<number>) => void
}

function TickAll({ rows, ticked, some, onAll }: TickAllProps) {
  const all = rows.length > 0 && rows.every((d) => ticked.has(d.id))
  return (
    <input
      type="checkbox"
      className="tick"
      checked={all}
      ref={(box) => {
        if (box) box.indeterminate = !all && some
      }}
      onChange={() => onAll(all ? NONE : new Set(rows.map((d) => d.id)))}
      aria-label="Tick all that are shown"
    />
  )
}

interface SortHeadProps {
  readonly title: string
  readonly by: SortBy
  readonly sort: { by: SortBy; down: boolean } | undefined
  readonly onTurn: (by: SortBy) => void
}

function SortHead({ title, by, sort, onTurn }: SortHeadProps) {
  const way = sort?.by === by ? (sort.down ? ' ↓' : ' ↑') : ''
  return (
    <ButtonBase sx={{ font: 'inherit' }} onClick={() => onTurn(by)} aria-label={`Sort by ${title}`}>
      {title}
      {way}
    </ButtonBase>
  )
}

function columnsOf(
  job: Seat,
  onFacts: (profile: string) => void,
): readonly (Column<Device> & { readonly by?: SortBy })[] {
  const text = (
    d: Device,
    field: 'name' | 'mac' | 'serialNumber' | 'firmware',
    what: string,
    hint: string,
  ) => (
    <EditCell
      job={job}
      item="device"
      id={d.id}
      field={field}
      value={d[field]}
      label={`${what} of ${d.name}`}
      hint={hint}
    >
      {field === 'name' ? <b>{d.name}</b> : d[field] || '–'}
    </EditCell>
  )
  const choice = (
    d: Device,
    field: 'condition' | 'format',
    label: string,
    choices: Readonly<Record<string, string>>,
  ) => (
    <ChoiceCell
      job={job}
      item="device"
      id={d.id}
      field={field}
      value={d[field]}
      label={label}
      choices={choices}
    />
  )
  return [
    { title: 'Device', by: 'name', width: 68, cell: (d) => text(d, 'name', 'Name', 'Enter takes it') },
    {
      title: 'Profile',
      by: 'profile',
      width: 174,
      cell: (d) => (
        <button
          type="button"
          className="facts-button"
          onClick={() => onFacts(d.profileId)}
          aria-label={`Facts of ${d.name}: ${d.profile}`}
        >
          {d.profile}
        </button>
      ),
    },
    {
      title: 'MAC',
      by: 'mac',
      mono: true,
      width: 168,
      cell: (d) => (d.networked ? text(d, 'mac', 'MAC', 'As on its label, any signs between') : 'no network'),
    },
    {
      title: 'Serial no.',
      by: 'serialNumber',
      mono: true,
      width: 92,
      cell: (d) => text(d, 'serialNumber', 'Serial number', 'As on its label'),
    },
    {
      title: 'Firmware',
      by: 'firmware',
      mono: true,
      width: 76,
      cell: (d) => text(d, 'firmware', 'Firmware', 'As found, for example 2.4.1'),
    },
    {
      title: 'Condition',
      by: 'condition',
      width: 80,
      cell: (d) => choice(d, 'condition', `How ${d.name} comes`, conditions),
    },
    {
      title: 'Format set',
      mono: true,
      width: 94,
      cell: (d) => choice(d, 'format', `Format ${d.name} is set to`, { '': '–', ...formats }),
    },
  ]
}
