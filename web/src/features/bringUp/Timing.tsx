import Box from '@mui/material/Box'
import type { Job, Methods, WorkTime } from '../../shared/api/types'
import { ChoiceCell } from '../../shared/ui/ChoiceCell'
import { EditCell } from '../../shared/ui/EditCell'
import type { Column } from '../../shared/ui/SheetTable'
import { SheetTable } from '../../shared/ui/SheetTable'
import { workWords } from './words'

/** What the times are made of: the job's own seconds, or the mean of what was really taken. */
export function Timing({ job, view }: { readonly job: Job; readonly view: Methods }) {
  return (
    <Box component="details" sx={{ mt: 2 }}>
      <summary>What these times are made of</summary>
      <Box sx={{ display: 'flex', gap: 4, flexWrap: 'wrap', my: 1 }}>
        <span>
          Minutes in the workshop before the van leaves:{' '}
          <EditCell
            job={job}
            item="site"
            id={job.site.id}
            field="workshop"
            value={view.workshopMinutes ? String(view.workshopMinutes) : ''}
            label="Minutes in the workshop"
            hint="Empty for none"
          >
            {view.workshopMinutes || 'none'}
          </EditCell>
        </span>
        <span>
          Jerboa runs on this laptop while others use it:{' '}
          <ChoiceCell
            job={job}
            item="site"
            id={job.site.id}
            field="laptopServes"
            value={String(view.laptopServes)}
            label="Jerboa runs on this laptop"
            choices={{ false: 'no', true: 'yes' }}
          />
        </span>
      </Box>
      <SheetTable
        label="Times"
        columns={columns(job)}
        rows={view.times}
        rowKey={(t) => t.work}
        rowLabel={(t) => t.work}
      />
      <Box sx={{ color: 'text.secondary', mt: 0.5 }}>
        Boot times are the profiles&#39;. After three of a kind the mean of what was really taken is counted
        with.
      </Box>
    </Box>
  )
}

const columns = (job: Job): readonly Column<WorkTime>[] => [
  { title: 'Work', cell: (t) => workWords[t.work] ?? t.work },
  {
    title: 'As planned, s',
    mono: true,
    cell: (t) => (
      <EditCell
        job={job}
        item="site"
        id={job.site.id}
        field={t.field}
        value={String(t.job)}
        label={`Seconds: ${workWords[t.work]}`}
        hint="1 to 3600 s"
      >
        {t.job}
      </EditCell>
    ),
  },
  {
    title: 'Counted with, s',
    cell: (t) => (
      <>
        <span className="mono">{t.seconds}</span>{' '}
        {t.taken >= 3
          ? `mean of ${t.taken} taken`
          : t.taken > 0
            ? `as planned; ${t.taken} taken so far`
            : 'as planned'}
      </>
    ),
  },
]
