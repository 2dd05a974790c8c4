import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { Link as RouterLink } from 'react-router'
import { rights } from '../../shared/api/changes'
import { get, sentence } from '../../shared/api/client'
import type { Desk, Job } from '../../shared/api/types'
import { useWorld } from '../../shared/api/useWorld'
import { Page } from '../../shared/ui/Page'
import type { PageKey } from '../../shared/ui/pageKeys'
import { Trouble } from '../../shared/ui/Trouble'
import { Driving } from './Driving'

const deskKeys: readonly PageKey[] = [
  ['digits', 'take a camera by its number'],
  ['arrows', 'drive while held'],
  ['+ and -', 'zoom while held'],
  ['f and n', 'focus far and near while held'],
  ['q and e', 'roll while held, where the head rolls'],
  ['a and d', 'back and on along its rail while held'],
  ['c', 'creep: all speeds at 15 %'],
  ['p and digits', 'recall a preset, or see it first'],
  ['w', 'one picture, four, or all'],
  ['h', 'hold this push, or end the steady move'],
  ['Space, Esc', 'STOP ALL'],
]

/** Taking cameras by key and driving them; the position shown is the camera's own. */
export function DeskPage({ job }: { readonly job: Job }) {
  const desk = useQuery({
    queryKey: ['desk', job.id, job.version],
    queryFn: () => get<Desk>(`/api/jobs/${job.id}/desk`),
    // Whoever drives goes on while somebody else writes the plan.
    placeholderData: keepPreviousData,
  })
  const findings = job.findings.filter((f) => f.severity === 'stop' && f.waiver === null)
  const world = useWorld(job.id)
  return (
    <Page
      title="Desk"
      job={job}
      findings={findings}
      ofWorld={world.data?.findings ?? []}
      keys={deskKeys}
      folded
    >
      {!rights(job).drive && <p>Your role in this job is to look on: you can watch here, not drive.</p>}
      {desk.error && <Trouble>{sentence(desk.error)}</Trouble>}
      {desk.data?.cameras.length === 0 && <NothingToDrive job={job} />}
      {desk.data && desk.data.cameras.length > 0 && <Driving job={job} desk={desk.data} />}
    </Page>
  )
}

/** What comes first, with the way there. */
function NothingToDrive({ job }: { readonly job: Job }) {
  const first =
    job.devices.length === 0
      ? { path: 'kit', words: 'Put the cameras of this job on the van, on Kit.' }
      : { path: '', words: 'Give the cameras their lines, on Line-up.' }
  return (
    <Box sx={{ maxWidth: 560 }}>
      <p>
        There is no camera to drive yet. {first.words} They can be driven once Bring-up has found them at
        their addresses.
      </p>
      <Button
        component={RouterLink}
        to={`/jobs/${job.id}${first.path && `/${first.path}`}`}
        variant="contained"
      >
        {first.path === 'kit' ? 'Go to Kit' : 'Go to Line-up'}
      </Button>
    </Box>
  )
}
