import Box from '@mui/material/Box'
import { NavLink, useLocation, useNavigate } from 'react-router'
import type { Job } from '../shared/api/types'
import { typing, useKeys } from '../shared/ui/keys'

interface Stage {
  readonly path: string
  readonly name: string
  /** How far it is, as a count. */
  readonly count: string
}

export function stagesOf(job: Job): readonly Stage[] {
  const cameras = job.devices.filter((d) => job.lines.some((l) => l.cameraId === d.id))
  const stopped = new Set(job.findings.filter((f) => f.severity === 'stop').flatMap((f) => f.deviceIds))
  const sound = job.devices.filter((d) => d.address !== '' && !stopped.has(d.id)).length
  const set = cameras.filter((d) => d.mark === 'set').length
  return [
    { path: '', name: 'Line-up', count: `${job.lines.length} lines` },
    { path: 'addresses', name: 'Addresses', count: `${sound} of ${job.devices.length} sound` },
    { path: 'bring-up', name: 'Bring-up', count: `${set} of ${cameras.length} set` },
    { path: 'desk', name: 'Desk', count: `${set} to drive` },
  ]
}

/** The stages in working order, each with how far it is; [ and ] go along it. */
export function Trail({ job }: { readonly job: Job }) {
  const stages = stagesOf(job)
  const navigate = useNavigate()
  const here = useLocation().pathname.split('/')[3] ?? ''
  useKeys((e) => {
    if (typing(e.target) || (e.key !== '[' && e.key !== ']')) return
    const at = stages.findIndex((s) => s.path === here)
    const next = stages[at + (e.key === ']' ? 1 : -1)]
    if (next) void navigate(`/jobs/${job.id}/${next.path}`)
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
        overflow: 'auto',
      }}
    >
      {stages.map((s) => (
        <Box
          key={s.path}
          component={NavLink}
          to={`/jobs/${job.id}/${s.path}`}
          end
          sx={{
            display: 'block',
            px: 2,
            py: 1,
            textDecoration: 'none',
            color: 'text.primary',
            borderLeft: '4px solid transparent',
            whiteSpace: 'nowrap',
            '&.active': { borderColor: 'primary.main', bgcolor: 'background.paper', fontWeight: 700 },
          }}
        >
          {s.name}
          <Box sx={{ color: 'text.secondary', fontSize: '0.86rem', fontWeight: 400 }}>{s.count}</Box>
        </Box>
      ))}
    </Box>
  )
}
