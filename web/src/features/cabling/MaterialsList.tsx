import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { sentence } from '../../shared/api/client'
import type { Job, Material, MaterialsView } from '../../shared/api/types'
import { EditCell } from '../../shared/ui/EditCell'
import { Fact } from '../../shared/ui/Fact'
import type { Column } from '../../shared/ui/SheetTable'
import { SheetTable } from '../../shared/ui/SheetTable'
import { Trouble } from '../../shared/ui/Trouble'
import { length } from '../../shared/format/length'
import { hundredths, money } from './money'
import { useMaterials } from './useCabling'

/** What to cut, pack and buy, with prices where somebody names them. */
export function MaterialsList({ job }: { readonly job: Job }) {
  const query = useMaterials(job)
  const file = (name: string) => `/api/jobs/${job.id}/cabling/${name}`
  if (query.error) return <Trouble>{sentence(query.error)}</Trouble>
  if (!query.data) return null
  return (
    <Box sx={{ overflow: 'auto', flex: 1, minHeight: 240 }} tabIndex={-1}>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'start', flexWrap: 'wrap' }}>
        <Box sx={{ flex: 1, minWidth: 300 }}>
          <Habit
            job={job}
            field="cableSlack"
            name="Cut longer by"
            value={String(job.site.cableSlack)}
            unit="%"
          />
          <Habit
            job={job}
            field="spares"
            name="Spares"
            value={String(job.site.spares)}
            unit="% of each thing"
          />
          <Habit
            job={job}
            field="reel"
            name="A reel holds"
            value={job.site.reel}
            unit=""
            shown={length(job.site.reel, job.site.units)}
          />
        </Box>
        <Button component="a" href={file('materials.csv')} download>
          CSV
        </Button>
        <Button component="a" href={file('materials.xlsx')} download>
          XLSX
        </Button>
      </Box>
      <List job={job} view={query.data} />
      <Cuts job={job} view={query.data} />
    </Box>
  )
}

interface HabitProps {
  readonly job: Job
  readonly field: string
  readonly name: string
  readonly value: string
  readonly unit: string
  readonly shown?: string
}

function Habit({ job, field, name, value, unit, shown = value }: HabitProps) {
  return (
    <Fact name={name}>
      <EditCell
        job={job}
        item="site"
        id={job.site.id}
        field={field}
        value={value}
        typing={shown}
        label={name}
        hint="holds for the whole job"
      >
        {shown} {unit}
      </EditCell>
    </Fact>
  )
}

const amount = (m: Material, value: number) =>
  m.unit === 'm' ? `${Math.ceil(value * 10) / 10} m` : String(value)

function List({ job, view }: { readonly job: Job; readonly view: MaterialsView }) {
  const columns: readonly Column<Material>[] = [
    { title: 'Material', cell: (m) => m.name },
    { title: 'Needed', mono: true, cell: (m) => amount(m, m.needed) },
    { title: 'Spare', mono: true, cell: (m) => (m.spare > 0 ? amount(m, m.spare) : '–') },
    { title: 'In all', mono: true, cell: (m) => <b>{amount(m, m.total)}</b> },
    {
      title: 'Price each',
      mono: true,
      cell: (m) => (
        <EditCell
          job={job}
          item="price"
          id={m.price}
          field="hundredths"
          value={m.each === null ? '' : String(m.each)}
          typing={m.each === null ? '' : money(m.each)}
          tidy={hundredths}
          label={`Price of ${m.name}`}
          hint={`for one ${m.unit}, like 1.20`}
          {...(m.price === null ? { adds: { material: m.name } } : {})}
        >
          {m.each === null ? 'none' : money(m.each)}
        </EditCell>
      ),
    },
    { title: 'Cost', mono: true, cell: (m) => (m.each === null ? '–' : money(m.cost)) },
  ]
  return (
    <>
      <SheetTable
        label="Materials"
        columns={columns}
        rows={view.list}
        rowKey={(m) => m.name}
        rowLabel={(m) => m.name}
      />
      <Box component="p" role="status">
        Total <b className="mono">{money(view.cost)}</b>
        {view.unpriced > 0 && `, ${view.unpriced} of ${view.list.length} without a price`}
      </Box>
    </>
  )
}

type Cut = MaterialsView['cuts'][number]

function Cuts({ job, view }: { readonly job: Job; readonly view: MaterialsView }) {
  const columns: readonly Column<Cut>[] = [
    { title: 'Material', cell: (c) => c.material },
    { title: 'Reel', mono: true, cell: (c) => c.reel ?? 'longer than one' },
    { title: 'Cut', mono: true, cell: (c) => <b>{length(c.metres, job.site.units)}</b> },
    { title: 'From', cell: (c) => c.from },
    { title: 'To', cell: (c) => c.to },
  ]
  return (
    <>
      <Box component="h2" sx={{ typography: 'h2', mb: 0.5 }}>
        Cut list, with slack
      </Box>
      <SheetTable
        label="Cuts"
        columns={columns}
        rows={view.cuts}
        rowKey={(c) => c.run}
        rowLabel={(c) => c.to}
      />
    </>
  )
}
