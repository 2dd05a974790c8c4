import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import { useMutation } from '@tanstack/react-query'
import { useState } from 'react'
import { editing, rights } from '../../shared/api/changes'
import { get, sentence } from '../../shared/api/client'
import type { AddressPlan, Device, Finding, Job, Line } from '../../shared/api/types'
import { FixDialog } from '../../shared/ui/FixDialog'
import { Page } from '../../shared/ui/Page'
import type { Column } from '../../shared/ui/SheetTable'
import { SheetTable } from '../../shared/ui/SheetTable'
import { StateMark } from '../../shared/ui/StateMark'
import { Trouble } from '../../shared/ui/Trouble'
import { AddressCell } from './AddressCell'
import { Ruler } from './Ruler'

/** The subnet as a ruler, and the sheet. */
export function AddressesPage({ job }: { readonly job: Job }) {
  const [plan, setPlan] = useState<AddressPlan>()
  const replan = useMutation({
    mutationFn: () => get<AddressPlan>(`/api/jobs/${job.id}/address-plan`),
    onSuccess: setPlan,
  })
  const actions = (
    <>
      <Button variant="outlined" onClick={() => replan.mutate()}>
        Re-plan …
      </Button>
      <Button variant="outlined" href={`/api/jobs/${job.id}/addresses.csv`} download>
        Sheet as CSV
      </Button>
    </>
  )
  return (
    <Page
      title="Addresses"
      job={job}
      findings={job.findings.filter((f) => f.code.startsWith('ADDR-'))}
      actions={actions}
      keys={[['Enter on an address', 'change it']]}
    >
      <Ruler job={job} />
      {replan.error && <Trouble>{sentence(replan.error)}</Trouble>}
      {plan?.moves.length === 0 && <p role="status">The plan stands: nobody needs to move.</p>}
      <Paper sx={{ mt: 2 }}>
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
          ? 'Click an address to change it; Enter takes it, Esc leaves it. Ctrl+Z takes a change back.'
          : 'Your part in this job is to look on; its leads can give you another.'}
      </Box>
      {plan && plan.moves.length > 0 && (
        <FixDialog
          job={job}
          title={`Re-plan: ${plan.moves.map((m) => `${m.device}, ${m.why}`).join('; ')}`}
          changes={editing(...plan.moves.map((m) => m.edit))}
          onClose={() => setPlan(undefined)}
        />
      )}
    </Page>
  )
}

function columnsOf(job: Job): readonly Column<Device>[] {
  const lines = new Map(job.lines.map((l) => [l.cameraId, l]))
  const line = (d: Device) => lines.get(d.id)
  return [
    { title: 'Device', cell: (d) => <b style={{ whiteSpace: 'nowrap' }}>{d.name}</b> },
    {
      title: 'Planned address',
      mono: true,
      cell: (d) => <AddressCell job={job} device={d} findings={worst(job.findings, d)} />,
    },
    { title: 'Key', mono: true, cell: (d) => keyOf(line(d)) },
    { title: 'Factory', mono: true, cell: (d) => d.factoryAddress },
    { title: 'MAC', mono: true, cell: (d) => d.mac },
    { title: 'State', cell: (d) => <StateMark mark={d.mark} /> },
  ]
}

const keyOf = (line?: Line) => (line && line.key.number >= 0 ? line.key.number : '')

const worst = (findings: readonly Finding[], d: Device) =>
  findings.filter(
    (f) =>
      f.code.startsWith('ADDR-') && f.severity !== 'note' && f.waiver.id === 0 && f.deviceIds.includes(d.id),
  )
