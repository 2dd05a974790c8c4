import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Checkbox from '@mui/material/Checkbox'
import Drawer from '@mui/material/Drawer'
import FormControlLabel from '@mui/material/FormControlLabel'
import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { editing, rights } from '../../shared/api/changes'
import { del, get, put, sentence } from '../../shared/api/client'
import { jobKeys, useChange, useJobRequest } from '../../shared/api/job'
import type { Job, JobPatch, Line, RouteWay } from '../../shared/api/types'
import { Trouble } from '../../shared/ui/Trouble'
import { FUNCTIONS, functionWords } from './functionWords'

interface Props {
  readonly job: Job
  readonly line: number
  readonly function: string
  readonly onClose: () => void
}

/** The ways to control one function of one camera, best first, with what each needs and risks. */
export function WaysDrawer({ job, line: lineId, function: f, onClose }: Props) {
  const path = `/api/jobs/${job.id}/lines/${lineId}/routes/${f}`
  const ways = useQuery({
    queryKey: [...jobKeys.routes(job.id), lineId, f, job.version],
    queryFn: () => get<RouteWay[]>(path),
    placeholderData: keepPreviousData,
  })
  const choose = useJobRequest((w: RouteWay | undefined) =>
    w
      ? put<JobPatch>(path, { controllerId: w.controllerId, protocol: w.protocol, throughId: w.throughId })
      : del<JobPatch>(path),
  )
  const line = job.lines.find((l) => l.id === lineId)
  if (!line) return null
  const may = rights(job).plan
  return (
    <Drawer anchor="right" open onClose={onClose} slotProps={{ paper: { 'aria-label': 'Ways' } }}>
      <Box sx={{ width: { xs: '100vw', sm: 560 }, p: 2.5 }}>
        <Box sx={{ display: 'flex', alignItems: 'start', gap: 1 }}>
          <Box component="h2" sx={{ typography: 'h1', m: 0, flex: 1 }}>
            {functionWords(f)} of {line.name}
          </Box>
          <Button onClick={onClose}>Close</Button>
        </Box>
        <Wish job={job} line={line} function={f} />
        {(ways.error ?? choose.error) && <Trouble>{sentence(ways.error ?? choose.error)}</Trouble>}
        {ways.data?.length === 0 && (
          <p>
            Nothing on the van can do this: no controller shares a protocol that carries it. Add one on the
            Kit page, or do without.
          </p>
        )}
        {ways.data?.map((w) => (
          <WayCard
            key={`${w.controllerId} ${w.protocol} ${w.throughId} ${w.over}`}
            way={w}
            may={may && !choose.isPending}
            onTake={() => choose.mutate(w)}
            onPropose={() => choose.mutate(undefined)}
          />
        ))}
      </Box>
    </Drawer>
  )
}

interface WishProps {
  readonly job: Job
  readonly line: Line
  readonly function: string
}

/** Whether the function must be controlled from afar. */
function Wish({ job, line, function: f }: WishProps) {
  const change = useChange(job.id)
  const wanted = line.wants.includes(f)
  const toggle = () => {
    const next = FUNCTIONS.filter((x) => (x === f ? !wanted : line.wants.includes(x))).join(' ')
    const before = line.wantsNoted ? line.wants.join(' ') : ''
    change.mutate(editing({ item: 'line', id: line.id, field: 'wants', before, after: next }))
  }
  return (
    <>
      <FormControlLabel
        control={<Checkbox checked={wanted} disabled={!rights(job).plan} onChange={toggle} />}
        label="Must work from afar"
      />
      {change.error && <Trouble>{sentence(change.error)}</Trouble>}
    </>
  )
}

interface CardProps {
  readonly way: RouteWay
  readonly may: boolean
  readonly onTake: () => void
  readonly onPropose: () => void
}

function WayCard({ way, may, onTake, onPropose }: CardProps) {
  return (
    <Box
      component="section"
      data-way={way.controller}
      sx={{
        border: way.planned ? '2px solid' : '1px solid',
        borderColor: way.planned ? 'primary.main' : 'divider',
        borderRadius: 1,
        p: 1.5,
        mt: 1.5,
      }}
    >
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'start' }}>
        <Box sx={{ flex: 1 }}>
          <b>{way.controller}</b>
          {way.key !== null && (
            <>
              , key <b className="mono">{way.key}</b>
            </>
          )}
          <div>{way.over}</div>
        </Box>
        {may && !way.chosen && <Button onClick={onTake}>Take this way</Button>}
        {may && way.chosen && <Button onClick={onPropose}>As proposed</Button>}
      </Box>
      <Box sx={{ mt: 0.5 }}>{way.why}</Box>
      {way.needs.length > 0 && (
        <Box sx={{ mt: 0.5 }}>
          Needs:
          <ul style={{ margin: 0, paddingLeft: 20 }}>
            {way.needs.map((n) => (
              <li key={n}>{n}</li>
            ))}
          </ul>
        </Box>
      )}
      <Box sx={{ mt: 0.5, color: 'text.secondary' }}>{way.lost}</Box>
    </Box>
  )
}
