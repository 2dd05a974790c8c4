import Box from '@mui/material/Box'
import Paper from '@mui/material/Paper'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import { useMemo, useState } from 'react'
import { ofDevice } from '../../shared/api/about'
import { editing, rights } from '../../shared/api/changes'
import type { Changes, Device, Finding, Job } from '../../shared/api/types'
import type { Seat } from '../../shared/api/useSeat'
import { useSeat } from '../../shared/api/useSeat'
import { ChoiceCell } from '../../shared/ui/ChoiceCell'
import { FixDialog } from '../../shared/ui/FixDialog'
import type { Column } from '../../shared/ui/SheetTable'
import { SheetTable } from '../../shared/ui/SheetTable'
import { StateMark } from '../../shared/ui/StateMark'
import { AddressCell } from './AddressCell'
import { Ruler } from './Ruler'
import { hostNumber } from './rulerScale'

interface Wanted {
  readonly title: string
  readonly changes: Changes
}

/** The subnets as rulers, one at a time, and the sheet. */
export function Plan({ job }: { readonly job: Job }) {
  const [chosen, setChosen] = useState(job.subnet.id)
  const [wanted, setWanted] = useState<Wanted>()
  const subnet = job.subnets.find((s) => s.id === chosen) ?? job.subnet
  const seat = useSeat(job)
  const leased = job.site.practices.schoolAddresses === 'lease'
  const several = job.subnets.length > 1
  const columns = useMemo(() => columnsOf(seat, leased, several), [seat, leased, several])
  const move = (device: Device, to: string) =>
    setWanted({
      title: `Move ${device.name} to ${to}?`,
      changes: editing({
        item: 'device',
        id: device.id,
        field: 'address',
        before: device.address,
        after: to,
      }),
    })
  return (
    <>
      {several && (
        <ToggleButtonGroup
          exclusive
          size="small"
          value={subnet.id}
          onChange={(_, id: number | null) => id !== null && setChosen(id)}
          aria-label="Subnet"
          sx={{ mb: 1 }}
        >
          {job.subnets.map((s) => (
            <ToggleButton key={s.id} value={s.id} className="mono">
              {s.name ? `${s.name} ` : ''}
              {s.cidr}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      )}
      <Ruler key={subnet.id} job={job} subnet={subnet} onMove={move} />
      <Paper sx={{ mt: 2, overflowX: 'auto', '& th, & td': { px: 0.35 } }}>
        <SheetTable
          label="Address sheet"
          columns={columns}
          rows={rowsOf(job)}
          rowKey={(r) => r.device.id}
          rowLabel={(r) => r.device.name}
          rowId={(r) => `device-${r.device.id}`}
        />
      </Paper>
      <Box sx={{ color: 'text.secondary', mt: 1 }}>
        {rights(job).plan
          ? 'Click an address to change it: what that brings is shown while you type. Enter takes it, Esc leaves it, Ctrl+Z takes it back.'
          : 'Your role in this job is to look on; its leads can give you another.'}
      </Box>
      {wanted && <FixDialog job={job} {...wanted} onClose={() => setWanted(undefined)} />}
    </>
  )
}

/** A device as the sheet shows it, with what it is numbered by and what stands against its address. */
interface Row {
  readonly device: Device
  readonly key: number | ''
  readonly subnet: string
  readonly findings: readonly Finding[]
}

function rowsOf(job: Job): readonly Row[] {
  const lines = new Map(job.lines.map((l) => [l.cameraId, l]))
  return job.devices
    .filter((d) => d.networked)
    .map((device) => ({
      device,
      key: lines.get(device.id)?.key?.number ?? '',
      subnet: subnetOf(job, device),
      findings: worst(job.findings, device),
    }))
}

function columnsOf(job: Seat, leased: boolean, several: boolean): readonly Column<Row>[] {
  const columns: Column<Row>[] = [
    { title: 'Device', cell: (r) => <b style={{ whiteSpace: 'nowrap' }}>{r.device.name}</b> },
    {
      title: 'Planned address',
      mono: true,
      cell: (r) => <AddressCell job={job} device={r.device} findings={r.findings} />,
    },
    { title: 'Assignment', cell: (r) => <How job={job} device={r.device} leased={leased} /> },
    { title: 'Key', mono: true, cell: (r) => r.key },
    { title: 'Factory', mono: true, cell: (r) => <Small>{r.device.factoryAddress}</Small> },
    { title: 'MAC', mono: true, cell: (r) => <Small>{r.device.mac}</Small> },
    { title: 'State', cell: (r) => <StateMark mark={r.device.mark} /> },
  ]
  if (several) columns.splice(2, 0, { title: 'Subnet', mono: true, cell: (r) => r.subnet })
  return columns
}

/** The state of a device stands beside it without scrolling, at 1280 and with the margin open. */
function Small({ children }: { readonly children: string }) {
  return <span style={{ fontSize: '0.88em' }}>{children}</span>
}

interface HowProps {
  readonly job: Seat
  readonly device: Device
  /** The house gives out what is not planned. */
  readonly leased: boolean
}

function How({ job, device, leased }: HowProps) {
  if (device.address === '') return leased ? 'lease' : '–'
  return (
    <ChoiceCell
      job={job}
      item="device"
      id={device.id}
      field="reserved"
      value={String(device.reserved)}
      label={`How ${device.name} comes by its address`}
      choices={{ false: 'static', true: 'reserved' }}
    />
  )
}

const subnetOf = (job: Job, d: Device) =>
  job.subnets.find((s) => hostNumber(s, d.address) !== undefined)?.cidr ?? ''

const worst = (findings: readonly Finding[], d: Device) =>
  ofDevice(findings, d.id).filter(
    (f) => f.discipline === 'addresses' && f.severity !== 'note' && f.waiver === null,
  )
