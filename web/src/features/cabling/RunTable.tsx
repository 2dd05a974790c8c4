import Button from '@mui/material/Button'
import { useMemo } from 'react'
import type { Job, RunRow } from '../../shared/api/types'
import type { Seat } from '../../shared/api/useSeat'
import { useSeat } from '../../shared/api/useSeat'
import { length } from '../../shared/format/length'
import { EditCell } from '../../shared/ui/EditCell'
import type { Column } from '../../shared/ui/SheetTable'
import { TallSheet } from '../../shared/ui/TallSheet'
import { useSteady } from '../../shared/ui/useSteady'
import { laidWords } from './cableWords'

interface Props {
  readonly job: Job
  readonly runs: readonly RunRow[]
  readonly onOpen: (run: number) => void
}

/** Every run in one list: lengths and labels are typed right here. */
export function RunTable({ job, runs, onOpen }: Props) {
  const seat = useSeat(job)
  const { units } = job.site
  const open = useSteady(onOpen)
  const columns = useMemo(() => columnsOf(seat, units, open), [seat, units, open])
  return <TallSheet label="Runs" columns={columns} rows={runs} rowKey={(r) => r.id} rowLabel={(r) => r.to} />
}

function columnsOf(
  job: Seat,
  units: Job['site']['units'],
  onOpen: (run: number) => void,
): readonly Column<RunRow>[] {
  return [
    { title: 'From', width: 165, cell: (r) => r.from },
    {
      title: 'To',
      width: 165,
      cell: (r) => (
        <>
          {r.to}
          {r.refusal && <div role="alert">▲ {r.refusal}</div>}
        </>
      ),
    },
    { title: 'Cable', width: 120, cell: (r) => `${r.cable} ${r.gauge}` },
    {
      title: 'Length',
      width: 90,
      mono: true,
      cell: (r) => (
        <EditCell
          job={job}
          item="run"
          id={r.id}
          field="metres"
          value={r.metres}
          typing={length(r.metres, units)}
          label={`Length to ${r.to}`}
          hint="30, 24.5 m, 80ft"
        >
          {length(r.metres, units)}
        </EditCell>
      ),
    },
    {
      title: 'Label',
      width: 100,
      cell: (r) => (
        <EditCell
          job={job}
          item="run"
          id={r.id}
          field="label"
          value={r.label}
          label={`Label of the run to ${r.to}`}
          hint="as written on both ends"
        >
          {r.label || '–'}
        </EditCell>
      ),
    },
    { title: 'Laid', width: 100, cell: (r) => laidWords[r.laid] ?? r.laid },
    {
      title: 'Sums',
      head: <span />,
      width: 80,
      cell: (r) => (
        <Button size="small" onClick={() => onOpen(r.id)} aria-label={`Sums of the run to ${r.to}`}>
          Sums
        </Button>
      ),
    },
  ]
}
