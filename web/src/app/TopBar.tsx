import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Link from '@mui/material/Link'
import { Suspense, useState } from 'react'
import { Link as RouterLink } from 'react-router'
import { AccountMenu } from '../features/people'
import { rights } from '../shared/api/changes'
import { useRedo, useUndo } from '../shared/api/job'
import type { Job } from '../shared/api/types'
import { useOthers } from '../shared/api/useLive'
import { typing, useKeys } from '../shared/ui/keys'
import { JobSettings } from './JobSettings'
import { WorldChip } from './WorldChip'
import { SumsDrawer } from './pages'
import type { Look } from './theme'

interface Props {
  readonly job?: Job
  readonly look: Look
  readonly onLook: () => void
  readonly onTrouble: (error: unknown) => void
}

/** Job, world, laptop, undo and redo, who is here, Day or Dusk. */
export function TopBar({ job, look, onLook, onTrouble }: Props) {
  const [settings, setSettings] = useState(false)
  const [sums, setSums] = useState(false)
  return (
    <Box
      component="header"
      sx={{
        display: 'flex',
        alignItems: 'center',
        columnGap: { xs: 0.75, sm: 2 },
        px: 2,
        minHeight: 52,
        '& .MuiButton-root': { minWidth: { xs: 0, sm: 64 }, px: { xs: 0.5, sm: 1 } },
        borderBottom: '1px solid',
        borderColor: 'divider',
        flexWrap: 'wrap',
      }}
    >
      <Link component={RouterLink} to="/jobs" sx={{ fontWeight: 700, color: 'text.primary' }}>
        Jerboa
      </Link>
      {job &&
        (rights(job).plan ? (
          <Button
            onClick={() => setSettings(true)}
            title="This job's name and units"
            sx={{ color: 'text.primary', fontWeight: 700, fontSize: '1rem', px: 0.5 }}
          >
            {job.name}
          </Button>
        ) : (
          <b>{job.name}</b>
        ))}
      {job && settings && <JobSettings job={job} onClose={() => setSettings(false)} />}
      {job && <WorldChip job={job} />}
      <Box sx={{ flex: { xs: 0, sm: 1 } }} />
      {job && <Others job={job.id} />}
      {job && rights(job).drive && <UndoRedo job={job} onTrouble={onTrouble} />}
      <Button size="small" onClick={() => setSums(true)}>
        Sums
      </Button>
      {sums && (
        <Suspense fallback={null}>
          <SumsDrawer onClose={() => setSums(false)} />
        </Suspense>
      )}
      <Button size="small" onClick={onLook}>
        {look === 'day' ? 'Dusk' : 'Day'}
      </Button>
      <AccountMenu />
    </Box>
  )
}

/** Who else has this job open, and on which page. */
function Others({ job }: { readonly job: number }) {
  const others = useOthers(job)
  return (
    <Box
      component="span"
      role="group"
      aria-label="Also here"
      sx={{ display: { xs: 'none', md: 'flex' }, gap: 1 }}
    >
      {others.map((p) => (
        <Box
          key={p.tab}
          component="span"
          title={`${p.person} is on ${p.page}`}
          sx={{ border: '1px solid', borderColor: 'divider', borderRadius: 1, px: 1, fontSize: '0.9rem' }}
        >
          {p.person.split(' ')[0]}{' '}
          <Box component="span" sx={{ color: 'text.secondary' }}>
            {p.page}
          </Box>
        </Box>
      ))}
    </Box>
  )
}

function UndoRedo({ job, onTrouble }: { readonly job: Job; readonly onTrouble: (error: unknown) => void }) {
  const undo = useUndo(job.id)
  const redo = useRedo(job.id)
  const doUndo = () => undo.mutate(undefined, { onError: onTrouble })
  const doRedo = () => redo.mutate(undefined, { onError: onTrouble })
  useKeys((e) => {
    if (!(e.ctrlKey || e.metaKey) || e.key.toLowerCase() !== 'z' || typing(e.target)) return
    e.preventDefault()
    if (e.shiftKey) {
      if (job.redo) doRedo()
    } else if (job.undo) doUndo()
  })
  return (
    <>
      <Button
        size="small"
        onClick={doUndo}
        disabled={!job.undo || undo.isPending}
        title={job.undo && `Undo: ${job.undo}`}
      >
        Undo
      </Button>
      <Button
        size="small"
        onClick={doRedo}
        disabled={!job.redo || redo.isPending}
        title={job.redo && `Redo: ${job.redo}`}
      >
        Redo
      </Button>
    </>
  )
}
