import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Link from '@mui/material/Link'
import Paper from '@mui/material/Paper'
import Snackbar from '@mui/material/Snackbar'
import visuallyHidden from '@mui/utils/visuallyHidden'
import { useState } from 'react'
import { Link as RouterLink, useNavigate } from 'react-router'
import { sentence } from '../../shared/api/client'
import { day } from '../../shared/format/moment'
import { useJobs } from '../../shared/api/job'
import type { JobSummary } from '../../shared/api/types'
import { MarkLegend, StateMark } from '../../shared/ui/StateMark'
import type { Column } from '../../shared/ui/SheetTable'
import { SheetTable } from '../../shared/ui/SheetTable'
import { Trouble } from '../../shared/ui/Trouble'
import { JobMenu } from './JobMenu'
import { AskPassphrase } from './AskPassphrase'
import { NewJobDialog } from './NewJobDialog'
import { RenameDialog } from './RenameDialog'
import { useJobActions } from './useJobActions'

const columns: readonly Column<JobSummary>[] = [
  {
    title: 'Job',
    cell: (j) => (
      <Link component={RouterLink} to={`/jobs/${j.id}`} sx={{ fontWeight: 600 }}>
        {j.name}
      </Link>
    ),
  },
  { title: 'Network', mono: true, cell: (j) => j.cidr },
  { title: 'Lines', cell: (j) => j.lines },
  { title: 'How far', cell: (j) => <HowFar job={j} /> },
  { title: 'Your role', cell: (j) => j.role },
  { title: 'Last written', cell: (j) => day(j.lastAt) },
]

/** Every job of this person: those at hand, and those put away. */
export function JobsPage() {
  const jobs = useJobs()
  const navigate = useNavigate()
  const [sealed, setSealed] = useState<File>()
  const actions = useJobActions((job) => void navigate(`/jobs/${job.id}`))
  const [making, setMaking] = useState(false)
  const [renaming, setRenaming] = useState<JobSummary>()
  const [deleted, setDeleted] = useState<JobSummary>()
  const [away, setAway] = useState(false)
  const all = jobs.data ?? []
  const atHand = all.filter((j) => !j.archived && !j.deleted)
  const put = all.filter((j) => j.archived || j.deleted)
  const error = jobs.error ?? actions.error
  const withMenu: readonly Column<JobSummary>[] = [
    ...columns,
    {
      title: 'Actions',
      head: <Box sx={visuallyHidden}>Actions</Box>,
      cell: (j) =>
        j.deleted ? (
          <Button size="small" onClick={() => actions.restore.mutate(j)}>
            Fetch back
          </Button>
        ) : (
          <JobMenu
            job={j}
            onRename={() => setRenaming(j)}
            onDuplicate={() => actions.duplicate.mutate(j)}
            onArchive={(archived) => actions.archive.mutate({ job: j, archived })}
            onDelete={() => actions.remove.mutate(j, { onSuccess: () => setDeleted(j) })}
          />
        ),
    },
  ]
  const take = async (file: File) => {
    const sealed = (await file.text()).includes('"sealedSecrets"')
    if (sealed) setSealed(file)
    else actions.fromFile.mutate({ file, passphrase: '' })
  }
  const table = (label: string, rows: readonly JobSummary[], shown: readonly Column<JobSummary>[]) => (
    <Paper sx={{ maxWidth: 1040 }}>
      <SheetTable label={label} columns={shown} rows={rows} rowKey={(j) => j.id} rowLabel={(j) => j.name} />
    </Paper>
  )
  return (
    <Box component="main" sx={{ px: 3, py: 2, overflow: 'auto', flex: 1 }}>
      <Box
        sx={{ display: 'flex', gap: 1.5, alignItems: 'center', maxWidth: 1040, mb: 1.5, flexWrap: 'wrap' }}
      >
        <Box component="h1" sx={{ typography: 'h1', m: 0, flex: 1 }}>
          Jobs
        </Box>
        <Button variant="contained" onClick={() => setMaking(true)}>
          New job …
        </Button>
        <Button variant="outlined" component="label" disabled={actions.fromFile.isPending}>
          From a file …
          <input
            type="file"
            accept=".json,application/json"
            hidden
            aria-label="Job file"
            onChange={(e) => {
              const file = e.target.files?.[0]
              if (file) void take(file)
              e.target.value = ''
            }}
          />
        </Button>
        <Button variant="outlined" onClick={() => actions.demo.mutate()} disabled={actions.demo.isPending}>
          From the demo
        </Button>
      </Box>
      {error && <Trouble>{sentence(error)}</Trouble>}
      {atHand.length > 0 && table('Jobs', atHand, withMenu)}
      {atHand.length > 0 && <MarkLegend marks={['planned', 'set', 'differs']} />}
      {jobs.data && atHand.length === 0 && (
        <p>
          You have no job at hand. Make a new one, read one from a file, or start with a copy of the demo
          hall: four ceiling cameras, a stick and one fault to find.
        </p>
      )}
      {put.length > 0 && (
        <Box sx={{ mt: 3 }}>
          <Button onClick={() => setAway(!away)} aria-expanded={away}>
            {away ? 'Hide' : 'Show'} archived and deleted ({put.length})
          </Button>
          {away &&
            table('Archived and deleted', put, [
              ...withMenu.slice(0, 2),
              { title: 'Put away', cell: (j: JobSummary) => (j.deleted ? 'deleted' : 'archived') },
              ...withMenu.slice(-1),
            ])}
        </Box>
      )}
      {making && (
        <NewJobDialog onClose={() => setMaking(false)} onMade={(j) => void navigate(`/jobs/${j.id}`)} />
      )}
      {sealed && (
        <AskPassphrase
          file={sealed.name}
          onTake={(passphrase) => {
            actions.fromFile.mutate({ file: sealed, passphrase })
            setSealed(undefined)
          }}
          onClose={() => setSealed(undefined)}
        />
      )}
      {renaming && <RenameDialog job={renaming} onClose={() => setRenaming(undefined)} />}
      <Snackbar
        open={deleted !== undefined}
        autoHideDuration={20_000}
        onClose={() => setDeleted(undefined)}
        message={`${deleted?.name} was deleted.`}
        action={
          <Button
            color="inherit"
            onClick={() => {
              if (deleted) actions.restore.mutate(deleted)
              setDeleted(undefined)
            }}
          >
            Undo
          </Button>
        }
      />
    </Box>
  )
}

function HowFar({ job }: { readonly job: JobSummary }) {
  const counts = [
    ['planned', job.planned],
    ['set', job.set],
    ['differs', job.differs],
  ] as const
  return (
    <Box component="span" sx={{ display: 'flex', gap: 2 }}>
      {counts
        .filter(([, n]) => n > 0)
        .map(([mark, n]) => (
          <Box key={mark} component="span" sx={{ display: 'inline-flex', alignItems: 'center', gap: 0.75 }}>
            {n} <StateMark mark={mark} />
          </Box>
        ))}
    </Box>
  )
}
