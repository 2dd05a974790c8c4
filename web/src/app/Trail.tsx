import Box from '@mui/material/Box'
import { Link, useLocation, useNavigate } from 'react-router'
import type { Job } from '../shared/api/types'
import { typing, useKeys } from '../shared/ui/keys'
import type { Stage } from './stages'
import { always, stagesOf } from './stages'

/** The stages in working order, each with how far it is; [ and ] go along it, comma and point along the lines. */
export function Trail({ job }: { readonly job: Job }) {
  const stages = stagesOf(job)
  const navigate = useNavigate()
  const { pathname, hash } = useLocation()
  const here = pathname.split('/')[3] ?? ''
  useKeys((e) => {
    if (typing(e.target) || e.ctrlKey || e.metaKey || e.altKey) return
    if (e.key === '[' || e.key === ']') {
      const at = stages.findIndex((s) => s.path === here)
      const next = stages[at + (e.key === ']' ? 1 : -1)]
      if (next) void navigate(`/jobs/${job.id}/${next.path}`)
    }
    if ((e.key === ',' || e.key === '.') && here !== 'desk') {
      const place = besideLine(job, here, hash, e.key === '.' ? 1 : -1)
      if (place) void navigate(place, { replace: true })
    }
  })
  return (
    <Box
      component="nav"
      aria-label="Stages"
      sx={{
        width: { xs: '100%', sm: 158 },
        flexShrink: 0,
        borderRight: { sm: '1px solid' },
        borderColor: { sm: 'divider' },
        py: { xs: 0.5, sm: 2 },
        display: 'flex',
        flexDirection: { xs: 'row', sm: 'column' },
        flexWrap: { xs: 'wrap', sm: 'nowrap' },
        overflow: { sm: 'auto' },
      }}
    >
      {stages.map((s) => (
        <StageLink key={s.path} job={job} stage={s} here={s.path === here} />
      ))}
      <Box sx={{ flex: { sm: 1 } }} />
      {always.map((s) => (
        <StageLink key={s.path} job={job} stage={s} here={s.path === here} />
      ))}
    </Box>
  )
}

/** The next or previous line's place on the page that shows lines; other pages lead to the line-up. */
function besideLine(job: Job, here: string, hash: string, step: 1 | -1): string | undefined {
  const onSheet = here === 'addresses'
  const places = job.lines.map((l) => (onSheet ? `#device-${l.cameraId}` : `#line-${l.id}`))
  const at = places.indexOf(hash)
  const next = places[at < 0 ? (step > 0 ? 0 : places.length - 1) : at + step]
  return next && `/jobs/${job.id}/${onSheet ? 'addresses' : ''}${next}`
}

function StageLink(props: { readonly job: Job; readonly stage: Stage; readonly here: boolean }) {
  const { job, stage, here } = props
  return (
    <Box
      component={Link}
      to={stage.path === '' ? `/jobs/${job.id}` : `/jobs/${job.id}/${stage.path}`}
      aria-current={here ? 'page' : undefined}
      sx={{
        display: 'block',
        px: { xs: 1.25, sm: 2 },
        py: { xs: 0.75, sm: 1 },
        textDecoration: 'none',
        color: 'text.primary',
        borderLeft: '4px solid transparent',
        whiteSpace: 'nowrap',
        '&[aria-current]': { borderColor: 'primary.main', bgcolor: 'background.paper', fontWeight: 700 },
      }}
    >
      {stage.name}
      {stage.count && (
        <Box
          sx={{
            display: { xs: 'none', sm: 'block' },
            color: 'text.secondary',
            fontSize: '0.86rem',
            fontWeight: 400,
          }}
        >
          {stage.count}
        </Box>
      )}
    </Box>
  )
}
