import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Drawer from '@mui/material/Drawer'
import { ofDevice } from '../../shared/api/about'
import { rights } from '../../shared/api/changes'
import { sentence } from '../../shared/api/client'
import { useChange } from '../../shared/api/job'
import type { Finding, Job, RunDetail } from '../../shared/api/types'
import { Trouble } from '../../shared/ui/Trouble'
import { RunFacts } from './RunFacts'
import { useRun } from './useCabling'
import { WhatIf } from './WhatIf'

interface Props {
  readonly job: Job
  readonly run: number
  readonly onClose: () => void
}

/** One run: its ends and cable to correct, its sums, and what if. */
export function RunDrawer({ job, run: id, onClose }: Props) {
  const query = useRun(job, id)
  const run = query.data?.id === id ? query.data : undefined
  const change = useChange(job.id)
  const remove = () =>
    change.mutate({ adds: [], edits: [], removes: [{ item: 'run', id }] }, { onSuccess: onClose })
  return (
    <Drawer anchor="right" open onClose={onClose} slotProps={{ paper: { 'aria-label': 'Run' } }}>
      <Box sx={{ width: { xs: '100vw', sm: 600 }, p: 2.5 }}>
        <Box sx={{ display: 'flex', alignItems: 'start', gap: 1 }}>
          <Box component="h2" sx={{ typography: 'h1', m: 0, flex: 1 }}>
            {run ? `${run.from.name} to ${run.to.name}` : 'Run'}
          </Box>
          {run && rights(job).plan && (
            <Button onClick={remove} disabled={change.isPending}>
              Take away
            </Button>
          )}
          <Button onClick={onClose}>Close</Button>
        </Box>
        {(query.error ?? change.error) && <Trouble>{sentence(query.error ?? change.error)}</Trouble>}
        {run && (
          <>
            <Found findings={found(job, run)} />
            <RunFacts job={job} run={run} />
            <Box component="h3" sx={{ typography: 'h2', mb: 1 }}>
              Sums, and what if
            </Box>
            <WhatIf key={`${id} ${job.version}`} job={job} run={run} />
            <Otherwise run={run} />
            <Caution run={run} />
          </>
        )}
      </Box>
    </Drawer>
  )
}

/** Findings whose two devices this run joins. */
function found(job: Job, run: RunDetail): readonly Finding[] {
  const ends = [run.from.device, run.to.device]
  return ofDevice(job.findings, run.from.device).filter(
    (f) => f.severity !== 'note' && f.deviceIds.length === 2 && f.deviceIds.every((d) => ends.includes(d)),
  )
}

function Found({ findings }: { readonly findings: readonly Finding[] }) {
  return findings.map((f) => (
    <Box key={f.key} sx={{ borderLeft: '3px solid', borderColor: 'error.main', pl: 1.5, my: 1 }}>
      <b>{f.severity}</b> {f.what}
    </Box>
  ))
}

function Otherwise({ run }: { readonly run: RunDetail }) {
  if (run.otherwise.length === 0) return null
  return (
    <>
      <Box component="h3" sx={{ typography: 'h2', mb: 0.5 }}>
        Or fed from
      </Box>
      <ul style={{ margin: 0, paddingLeft: 20 }}>
        {run.otherwise.map((c) => (
          <li key={c.what}>
            {c.what}: {c.figure} <b>{c.works ? 'works' : '▲ not enough'}</b>
          </li>
        ))}
      </ul>
    </>
  )
}

function Caution({ run }: { readonly run: RunDetail }) {
  const words =
    run.signal === 'dc'
      ? 'Polarity with a meter before power. Fuse the supply’s side. Mains is for licensed electricians.'
      : run.signal === 'network'
        ? 'Never a serial lead or a passive injector into a port that gives power. Outdoors: surge protection, by local codes.'
        : 'No cable across a walkway uncovered; fire-stopping and jackets by local codes.'
  return (
    <Box component="p" sx={{ color: 'text.secondary' }}>
      {words}
    </Box>
  )
}
