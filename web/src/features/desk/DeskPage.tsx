import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Slider from '@mui/material/Slider'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { Link as RouterLink } from 'react-router'
import { rights } from '../../shared/api/changes'
import { get, sentence } from '../../shared/api/client'
import type { Desk, DeskCamera, Job } from '../../shared/api/types'
import { typing, useKeys } from '../../shared/ui/keys'
import { Page } from '../../shared/ui/Page'
import type { PageKey } from '../../shared/ui/pageKeys'
import { StateMark } from '../../shared/ui/StateMark'
import { Trouble } from '../../shared/ui/Trouble'
import type { Position } from './messages'
import { Functions } from '../told'
import { NotSeenStopped } from './NotSeenStopped'
import { StandinPicture } from './StandinPicture'
import { StickSurface } from './StickSurface'
import { useAtRest } from './useAtRest'
import { useDesk } from './useDesk'
import { useNumberKeys } from './useNumberKeys'
import { useStickKeys } from './useStickKeys'
import { WireFrames } from './WireFrames'
import { ZoomLever } from './ZoomLever'
import { Way } from './Way'

const deskKeys: readonly PageKey[] = [
  ['digits', 'take a camera by its number'],
  ['arrows', 'drive while held'],
  ['+ and -', 'zoom while held'],
  ['Space, Esc', 'STOP ALL'],
]

/** Taking cameras by key and driving them; the position shown is the camera's own. */
export function DeskPage({ job }: { readonly job: Job }) {
  const desk = useQuery({
    queryKey: ['desk', job.id, job.version],
    queryFn: () => get<Desk>(`/api/jobs/${job.id}/desk`),
  })
  const findings = job.findings.filter((f) => f.severity === 'stop' && f.waiver === null)
  return (
    <Page title="Desk" job={job} findings={findings} keys={deskKeys}>
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

function Driving({ job, desk }: { readonly job: Job; readonly desk: Desk }) {
  const [percent, setPercent] = useState(60)
  const { state, stick, take, home, stopAll } = useDesk(job.id, percent / 100)
  useStickKeys(stick)
  const digit = useNumberKeys(desk.cameras, take)
  useKeys((e) => {
    if (e.key === 'Escape' || (e.key === ' ' && !typing(e.target))) {
      e.preventDefault()
      stopAll()
    } else if (/^([0-9]|Enter)$/.test(e.key) && !typing(e.target) && !e.ctrlKey && !e.metaKey && !e.altKey) {
      digit(e.key)
    } else if ((e.key === ',' || e.key === '.') && !typing(e.target)) {
      const at = desk.cameras.findIndex((c) => c.id === state.taken)
      const camera = desk.cameras[at + (e.key === '.' ? 1 : -1)]
      if (camera) take(camera.id)
    }
  })
  const told = useAtRest(stick, state.taken, 0)
  const camera = desk.cameras.find((c) => c.id === state.taken)
  const line = job.lines.find((l) => l.cameraId === camera?.id)
  return (
    <>
      <CameraKeys cameras={desk.cameras} taken={state.taken} onTake={take} />
      {state.notSeenStopped && (
        <NotSeenStopped name={camera?.name ?? 'The head'} why={state.notSeenStopped} onStop={stopAll} />
      )}
      {state.trouble && <Trouble>{state.trouble}</Trouble>}
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) auto' },
          gap: 2,
          mt: 1.5,
        }}
      >
        <div>
          <StandinPicture line={line?.number ?? 1} position={camera && state.position} />
          <Box role="status" sx={{ minHeight: 26, mt: 0.5 }}>
            {state.stopped}
          </Box>
          <ReadBack camera={camera} position={state.position} />
          {camera && <Way job={job} camera={camera} />}
          {camera && told.value === camera.id && <Functions job={job} device={camera.id} asks={told.rests} />}
        </div>
        <Box sx={{ display: 'grid', gridTemplateColumns: 'auto 92px', gap: 1.5, alignContent: 'start' }}>
          <Box sx={{ gridColumn: '1 / -1' }}>
            <Box sx={{ display: 'flex', gap: 1 }}>
              <Button
                variant="contained"
                onClick={stopAll}
                sx={{
                  flex: 1,
                  minHeight: 52,
                  fontSize: '1.05rem',
                  bgcolor: '#B3211B',
                  color: '#FFFFFF',
                  '&:hover': { bgcolor: '#8E1A15' },
                }}
              >
                STOP ALL (Space)
              </Button>
              <Button variant="outlined" onClick={home} disabled={!camera}>
                Home
              </Button>
            </Box>
          </Box>
          <StickSurface law={desk} limit={percent / 100} stick={stick} />
          <ZoomLever stick={stick} />
          <Box sx={{ gridColumn: '1 / -1' }}>
            <label htmlFor="limit">Speed limit {percent} %</label>
            <Slider
              id="limit"
              aria-label="Speed limit in percent"
              value={percent}
              min={5}
              max={100}
              step={5}
              onChange={(_, v) => setPercent(v)}
            />
          </Box>
        </Box>
      </Box>
      <WireFrames frames={state.frames} job={job.id} />
      <Box sx={{ color: 'text.secondary', mt: 1.5 }}>
        Keys: its number takes a camera, arrows drive, + and − zoom, Space or Esc stops all. Heads move
        without warning: hands and cables clear. If the server itself is killed, a moving head goes on until
        it is started again.
      </Box>
    </>
  )
}

interface KeysProps {
  readonly cameras: readonly DeskCamera[]
  readonly taken: number
  readonly onTake: (camera: number) => void
}

function CameraKeys({ cameras, taken, onTake }: KeysProps) {
  return (
    <Box
      role="group"
      aria-label="Cameras"
      sx={{ display: 'grid', gap: 1, gridTemplateColumns: 'repeat(auto-fill, minmax(100px, 1fr))' }}
    >
      {cameras.map((c) => (
        <Button
          key={c.id}
          variant={c.id === taken ? 'contained' : 'outlined'}
          aria-pressed={c.id === taken}
          onClick={(e) => {
            // Space must stop, not press this key again.
            e.currentTarget.blur()
            onTake(c.id)
          }}
          title={c.cannot}
          sx={{ minWidth: 0, flexDirection: 'column', px: 0.5, py: 0.5, lineHeight: 1.35 }}
        >
          <span>
            <span className="mono" style={{ fontSize: '1.25rem' }}>
              {c.number}
            </span>{' '}
            {c.name}
          </span>
          <span style={{ fontWeight: 400 }}>
            {c.cannot ? 'not from here' : c.through || <StateMark mark={c.mark} />}
          </span>
        </Button>
      ))}
    </Box>
  )
}

function ReadBack({
  camera,
  position,
}: {
  readonly camera: DeskCamera | undefined
  readonly position: Position | undefined
}) {
  if (!camera) return <p>Take a camera: press its key number, or click it above.</p>
  if (!camera.tells) return <p>{camera.name} tells nothing back: look where it points.</p>
  if (!position) return <p>Asking {camera.name} where it points …</p>
  const values = [
    ['Pan', `${position.panDegrees.toFixed(1)}°`, `${position.panCounts} counts`],
    ['Tilt', `${position.tiltDegrees.toFixed(1)}°`, `${position.tiltCounts} counts`],
    ['Zoom', `${Math.round(position.zoom * 100)} %`, `${position.zoomCounts} counts`],
    ['View', `${position.angleDegrees.toFixed(1)}°`, 'wide, by the lens'],
  ] as const
  return (
    <Box
      sx={{ display: 'grid', gridTemplateColumns: 'repeat(4, 1fr)', gap: 1, mt: 1 }}
      aria-label="Position read from the camera"
    >
      {values.map(([name, value, from]) => (
        <Box key={name} data-reading={name}>
          <Box sx={{ color: 'text.secondary' }}>{name}</Box>
          <Box className="mono" sx={{ fontSize: '1.35rem' }}>
            {value}
          </Box>
          <Box sx={{ color: 'text.secondary', fontSize: '0.86rem' }}>{from}</Box>
        </Box>
      ))}
      <Box sx={{ gridColumn: '1 / -1', color: 'text.secondary', fontSize: '0.88rem' }}>
        Read from {camera.name}, at most ten times a second
      </Box>
    </Box>
  )
}
