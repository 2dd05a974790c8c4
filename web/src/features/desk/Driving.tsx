import Box from '@mui/material/Box'
import Link from '@mui/material/Link'
import Button from '@mui/material/Button'
import Slider from '@mui/material/Slider'
import { useMemo, useState } from 'react'
import { Link as RouterLink } from 'react-router'
import { rights } from '../../shared/api/changes'
import type { Desk, Job } from '../../shared/api/types'
import { typing, useKeys } from '../../shared/ui/keys'
import { Trouble } from '../../shared/ui/Trouble'
import { useSteady } from '../../shared/ui/useSteady'
import { Functions, toldHand, useToldViews } from '../told'
import { CameraPicture } from './CameraPicture'
import { CameraKeys } from './CameraKeys'
import { canWords, headless, keyed } from './canDo'
import { FeelPanel } from './FeelPanel'
import { HoldSteady, toggleKept } from './HoldSteady'
import { MoveGate } from './MoveGate'
import { NotSeenStopped } from './NotSeenStopped'
import { OnAir } from './OnAir'
import { PadPanel, usePadMap } from './PadPanel'
import { Presets } from './Presets'
import { Limits, ReadBack } from './ReadBack'
import { SteadyMove } from './SteadyMove'
import { RowStatus } from './RowStatus'
import { StickSurface } from './StickSurface'
import type { PositionStore } from './positions'
import { usePosition } from './positions'
import { Tally } from './Tally'
import { TakeOver } from './TakeOver'
import { useAtRest } from './useAtRest'
import { useDesk } from './useDesk'
import { isKeyOf, useNumberKeys } from './useNumberKeys'
import { toldBy } from './pad'
import { usePad, usePadName } from './usePad'
import { useStickKeys } from './useStickKeys'
import { Wall } from './Wall'
import { nextWall } from './wall'
import type { WallSize } from './wall'
import { WireFrames } from './WireFrames'
import { LeadThere } from './LeadThere'
import { LensLevers } from './LensLevers'
import { Way } from './Way'

/** Share of all speeds while creeping. */
const CREEP = 0.15
const KNOB_SECONDS = 4

/** What full deflection does to the picture now. */
function Crossing({ positions }: { readonly positions: PositionStore }) {
  const seconds = usePosition(positions)?.crossingSeconds
  return (
    <Box sx={{ color: 'text.secondary', fontSize: '0.88rem', minHeight: 22 }}>
      {seconds ? `A full push crosses the picture in ${seconds.toFixed(1)} s` : ''}
    </Box>
  )
}

/** Where what is dark is brought up. */
function ToItsCard({ job, device }: { readonly job: number; readonly device: number }) {
  return (
    <Link component={RouterLink} to={`/jobs/${job}/bring-up?device=${device}`}>
      Its card on Bring-up
    </Link>
  )
}

const WALLS: Readonly<Record<WallSize, string>> = { off: 'One picture', four: 'Four', all: 'All' }

/** Whose pictures are shown. */
function WallSwitch({
  size,
  onSize,
}: {
  readonly size: WallSize
  readonly onSize: (size: WallSize) => void
}) {
  return (
    <Box role="radiogroup" aria-label="Pictures (w)" sx={{ display: 'flex', gap: 0.5 }}>
      {(['off', 'four', 'all'] as const).map((s) => (
        <Button
          key={s}
          size="small"
          variant={s === size ? 'contained' : 'outlined'}
          role="radio"
          aria-checked={s === size}
          onClick={(e) => {
            e.currentTarget.blur()
            onSize(s)
          }}
        >
          {WALLS[s]}
        </Button>
      ))}
    </Box>
  )
}

/** The desk while there is something to drive: keys, stick, picture, and what is said before and after. */
export function Driving({ job, desk }: { readonly job: Job; readonly desk: Desk }) {
  const [percent, setPercent] = useState(60)
  const [creeps, setCreeps] = useState(false)
  const [wall, setWall] = useState<WallSize>('off')
  const limit = (percent / 100) * (creeps ? CREEP : 1)
  const { state, stick, positions, frames, take, home, recall, stopAll, allowOnAir, go, endMove, ask, keep } =
    useDesk(job.id, limit)
  useStickKeys(stick)
  const views = useToldViews(job).data
  const keys = useMemo(() => keyed(desk.cameras, headless(job, desk)), [job, desk])
  const can = useMemo(
    () =>
      new Map(
        keys.map((c) => [
          c.id,
          canWords(
            c,
            views?.find((v) => v.device === c.id),
          ),
        ]),
      ),
    [keys, views],
  )
  // One without a head is looked after beside the one that is driven.
  const [beside, setBeside] = useState(0)
  const other = keys.find((c) => c.id === beside)
  const pick = useSteady((id: number) => {
    const headed = desk.cameras.some((c) => c.id === id)
    setBeside(headed ? 0 : id)
    if (headed) take(id)
  })
  const digit = useNumberKeys(keys, pick)
  const step = (by: number) => {
    const at = desk.cameras.findIndex((c) => c.id === state.taken)
    const camera = desk.cameras[at + by]
    if (camera) take(camera.id)
  }
  const padName = usePadName()
  const padMap = usePadMap(job.id, padName)
  const [hand] = useState(toldHand)
  const [menuAt, setMenuAt] = useState<HTMLElement | null>(null)
  // Pushed all the way a knob goes from end to end in so many seconds.
  const turnByPad = (name: string, push: number, seconds: number) => {
    const knob = hand.view()?.knobs.find((k) => k.name === name)
    if (knob) hand.step(name, (push * seconds * (knob.most - knob.least)) / KNOB_SECONDS)
  }
  const [padBusy, setPadBusy] = useState(false)
  usePad(
    stick,
    padBusy ? '' : padName,
    padMap,
    (what) => {
      if (what === 'stop') stopAll()
      else if (what === 'hold') toggleKept(stick)
      else if (what === 'creep') setCreeps(!creeps)
      else if (what === 'home') home()
      else if (what === 'next') step(1)
      else if (what === 'previous') step(-1)
      else {
        const told = toldBy(what)
        if (told?.by) hand.step(told.name, told.by)
        else if (told) hand.tell(told.name)
      }
    },
    turnByPad,
  )
  useKeys((e) => {
    if (e.key === 'Escape' || (e.key === ' ' && !typing(e.target))) {
      e.preventDefault()
      stopAll()
    } else if (isKeyOf(keys, e.key) && !typing(e.target) && !e.ctrlKey && !e.metaKey && !e.altKey) {
      digit(e.key)
    } else if (e.key === 'c' && !typing(e.target) && !e.ctrlKey && !e.metaKey) {
      setCreeps(!creeps)
    } else if (e.key === 'h' && !typing(e.target) && !e.ctrlKey && !e.metaKey) {
      toggleKept(stick)
    } else if (e.key === 'w' && !typing(e.target) && !e.ctrlKey && !e.metaKey) {
      setWall(nextWall(wall))
    } else if ((e.key === ',' || e.key === '.') && !typing(e.target)) {
      step(e.key === '.' ? 1 : -1)
    }
  })
  const told = useAtRest(stick, state.taken, 0)
  const camera = desk.cameras.find((c) => c.id === state.taken)
  const feel = desk.feels.find((f) => f.profile === (camera ?? desk.cameras[0])?.profile)
  return (
    <>
      {state.notSeenStopped && (
        <NotSeenStopped name={camera?.name ?? 'The head'} why={state.notSeenStopped} onStop={stopAll} />
      )}
      {state.trouble && (
        <Trouble>
          {state.trouble} {state.dark !== 0 && <ToItsCard job={job.id} device={state.dark} />}
        </Trouble>
      )}
      <LeadThere
        key={state.dark}
        job={job}
        camera={desk.cameras.find((c) => c.id === state.dark)}
        onThere={take}
      />
      <RowStatus job={job} />
      <TakeOver desk={desk} state={state} leads={rights(job).manage} onAsk={ask} onKeep={keep} />
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) auto' },
          gap: 2,
          mt: 1.5,
        }}
      >
        <div>
          {wall === 'off' ? (
            <Box
              sx={{
                display: 'grid',
                gridTemplateColumns: { xs: '1fr', sm: 'minmax(0, 1fr) 158px' },
                columnGap: 1.5,
              }}
            >
              <CameraPicture job={job} camera={camera} />
              <ReadBack camera={camera} positions={positions} />
            </Box>
          ) : (
            <Wall job={job.id} cameras={desk.cameras} size={wall} taken={state.taken} onTake={take} />
          )}
          <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, mt: 0.5 }}>
            <Box role="status" sx={{ minHeight: 26, flex: 1 }}>
              {state.stopped}
            </Box>
            <WallSwitch size={wall} onSize={setWall} />
          </Box>
          <div ref={setMenuAt} />
          {camera && state.taken !== 0 && (
            <Presets job={job} device={camera.id} onAir={camera.onAir} onRecall={recall} />
          )}
          <Limits job={job} camera={camera} positions={positions} />
          {camera && <Way job={job} camera={camera} />}
          {other && (
            <p>
              <b>{other.name}</b> has no head to drive. From afar: {can.get(other.id)}.
            </p>
          )}
          {other && (
            <Functions job={job} device={other.id} asks={told.rests} kept="" hand={hand} menuAt={menuAt} />
          )}
          {!other && camera && told.value === camera.id && (
            <Functions
              job={job}
              device={camera.id}
              asks={told.rests}
              kept={camera.onAir && !state.allowedOnAir ? 'it is on air' : ''}
              hand={hand}
              menuAt={menuAt}
            />
          )}
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
          {camera && (
            <Box sx={{ gridColumn: '1 / -1', maxWidth: 348 }}>
              <MoveGate
                job={job}
                camera={camera}
                cameras={desk.cameras}
                refused={state.needs !== ''}
                allowed={state.allowedOnAir}
                onAllow={allowOnAir}
              />
            </Box>
          )}
          {feel && <StickSurface feel={feel} limit={limit} stick={stick} />}
          <Box sx={{ display: 'grid', gap: 1, alignContent: 'start' }}>
            <LensLevers stick={stick} camera={camera} />
            <Button
              variant={creeps ? 'contained' : 'outlined'}
              aria-pressed={creeps}
              onClick={() => setCreeps(!creeps)}
            >
              Creep (c)
            </Button>
            <OnAir job={job} camera={camera} />
          </Box>
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
            <Crossing positions={positions} />
            <Tally job={job} cameras={desk.cameras} />
            <HoldSteady job={job} stick={stick} camera={camera} positions={positions} />
            <Box sx={{ maxWidth: 344 }}>
              {camera?.tells && (
                <SteadyMove
                  key={camera.id}
                  positions={positions}
                  going={state.going}
                  onGo={go}
                  onEnd={endMove}
                />
              )}
              {camera && feel && told.value === camera.id && (
                <FeelPanel key={feel.profile} job={job} feel={feel} />
              )}
              <PadPanel job={job} device={camera?.id ?? 0} name={padName} map={padMap} onBusy={setPadBusy} />
            </Box>
          </Box>
        </Box>
      </Box>
      <WireFrames frames={frames} job={job.id} />
      <Box sx={{ color: 'text.secondary', mt: 1.5 }}>
        Keys: its number takes a camera, arrows drive, + and − zoom, Space or Esc stops all. Heads move
        without warning: hands and cables clear. If the server itself is killed, a moving head goes on until
        it is started again.
      </Box>
      <Box
        sx={{
          position: 'sticky',
          bottom: '-16px',
          zIndex: 1,
          mt: 1.5,
          mb: -2,
          pt: 1,
          bgcolor: 'background.default',
        }}
      >
        <CameraKeys cameras={keys} can={can} groupOf={desk.groupOf} taken={state.taken} onTake={pick} />
      </Box>
    </>
  )
}
