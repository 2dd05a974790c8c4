import Box from '@mui/material/Box'
import Paper from '@mui/material/Paper'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import { useState } from 'react'
import { ofDevice } from '../../shared/api/about'
import { editing, rights } from '../../shared/api/changes'
import type { Changes, Device, Finding, Job, Line } from '../../shared/api/types'
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
      {job.subnets.length > 1 && (
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
      <Paper sx={{ mt: 2, overflowX: 'auto', '& .MuiTableCell-root': { px: 0.35 } }}>
        <SheetTable
          label="Address sheet"
          columns={columnsOf(job)}
          rows={job.devices.filter((d) => d.networked)}
          rowKey={(d) => d.id}
          rowLabel={(d) => d.name}
          rowId={(d) => `device-${d.id}`}
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

function columnsOf(job: Job): readonly Column<Device>[] {
  const lines = new Map(job.lines.map((l) => [l.cameraId, l]))
  const line = (d: Device) => lines.get(d.id)
  const columns: Column<Device>[] = [
    { title: 'Device', cell: (d) => <b style={{ whiteSpace: 'nowrap' }}>{d.name}</b> },
    {
      title: 'Planned address',
      mono: true,
      cell: (d) => <AddressCell job={job} device={d} findings={worst(job.findings, d)} />,
    },
    { title: 'Assignment', cell: (d) => <How job={job} device={d} /> },
    { title: 'Key', mono: true, cell: (d) => keyOf(line(d)) },
    { title: 'Factory', mono: true, cell: (d) => <Small>{d.factoryAddress}</Small> },
    { title: 'MAC', mono: true, cell: (d) => <Small>{d.mac}</Small> },
    { title: 'State', cell: (d) => <StateMark mark={d.mark} /> },
  ]
  if (job.subnets.length > 1) {
    columns.splice(2, 0, { title: 'Subnet', mono: true, cell: (d) => subnetOf(job, d) })
  }
  return columns
}

/** The state of a device stands beside it without scrolling, at 1280 and with the margin open. */
function Small({ children }: { readonly children: string }) {
  return <span style={{ fontSize: '0.88em' }}>{children}</span>
}

function How({ job, device }: { readonly job: Job; readonly device: Device }) {
  if (device.address === '') return job.site.practices.schoolAddresses === 'lease' ? 'lease' : '–'
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

const keyOf = (line?: Line) => line?.key?.number ?? ''

const worst = (findings: readonly Finding[], d: Device) =>
  ofDevice(findings, d.id).filter(
    (f) => f.discipline === 'addresses' && f.severity !== 'note' && f.waiver === null,
  )
