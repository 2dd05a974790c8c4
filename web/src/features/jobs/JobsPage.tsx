import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Link from '@mui/material/Link'
import Paper from '@mui/material/Paper'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import { Link as RouterLink, useNavigate } from 'react-router'
import { post, sentence } from '../../shared/api/client'
import { jobKeys, useJobs } from '../../shared/api/job'
import type { Job, JobSummary } from '../../shared/api/types'
import { MarkLegend, StateMark } from '../../shared/ui/StateMark'
import type { Column } from '../../shared/ui/SheetTable'
import { SheetTable } from '../../shared/ui/SheetTable'
import { Trouble } from '../../shared/ui/Trouble'

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
]

/** Every job of this person. */
export function JobsPage() {
  const jobs = useJobs()
  const queries = useQueryClient()
  const navigate = useNavigate()
  const demo = useMutation({
    mutationFn: () => post<Job>('/api/jobs/demo'),
    onSuccess: async (job) => {
      await queries.invalidateQueries({ queryKey: jobKeys.all })
      await navigate(`/jobs/${job.id}`)
    },
  })
  const error = jobs.error ?? demo.error
  return (
    <Box component="main" sx={{ px: 3, py: 2, overflow: 'auto', flex: 1 }}>
      <Box component="h1" sx={{ typography: 'h1', mt: 0 }}>
        Jobs
      </Box>
      {error && <Trouble>{sentence(error)}</Trouble>}
      {jobs.data && jobs.data.length > 0 && (
        <Paper sx={{ maxWidth: 900 }}>
          <SheetTable
            label="Jobs"
            columns={columns}
            rows={jobs.data}
            rowKey={(j) => j.id}
            rowLabel={(j) => j.name}
          />
        </Paper>
      )}
      {jobs.data && jobs.data.length > 0 && <MarkLegend marks={['planned', 'set', 'differs']} />}
      {jobs.data?.length === 0 && (
        <>
          <p>
            You have no job yet. Start with a copy of the demo hall: four ceiling cameras, a stick and one
            fault to find.
          </p>
          <Button variant="contained" onClick={() => demo.mutate()} disabled={demo.isPending}>
            Make a job from the demo
          </Button>
        </>
      )}
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
