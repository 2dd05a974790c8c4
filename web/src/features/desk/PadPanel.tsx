import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { memo, useEffect, useState } from 'react'
import { get, put, sentence } from '../../shared/api/client'
import type { Job } from '../../shared/api/types'
import { Trouble } from '../../shared/ui/Trouble'
import { useToldViews } from '../told'
import type { KnobByAxis, PadAct, PadAxis, PadMap, ToldByButton } from './pad'
import { ACTS, USUAL, calibrated, movedAxis, padChoices, withAxis, withButton, without } from './pad'
import { STICK_AXES } from './messages'
import { present } from './usePad'

const AXIS_WORDS: Readonly<Record<PadAxis, string>> = {
  pan: 'Pan: push it right',
  tilt: 'Tilt: push it up',
  zoom: 'Zoom: push it to tele',
  focus: 'Focus: push it to far',
  roll: 'Roll: push it clockwise',
  rail: 'Rail: push it onwards',
}

const ACT_WORDS: Readonly<Record<PadAct, string>> = {
  stop: 'STOP ALL',
  hold: 'Hold this push',
  creep: 'Creep',
  home: 'Home',
  next: 'Next camera',
  previous: 'Previous camera',
  tele: 'Zoom to tele',
  wide: 'Zoom to wide',
}

/** So long it must lie still. */
const REST_MILLIS = 1000
const LOOK_MILLIS = 30

const padKey = (job: number, name: string) => ['pad', job, name]
const padPath = (job: number) => `/api/jobs/${job}/desk/pads`

/** How this person uses this pad; the usual way until it is known. */
export function usePadMap(job: number, name: string): PadMap {
  const kept = useQuery({
    queryKey: padKey(job, name),
    queryFn: () => get<{ readonly map: PadMap | null }>(`${padPath(job)}?name=${encodeURIComponent(name)}`),
    enabled: name !== '',
  })
  return kept.data?.map ?? USUAL
}

interface Props {
  readonly job: Job
  /** The taken camera; 0 for none. */
  readonly device: number
  readonly name: string
  readonly map: PadMap
  /** While something is learned or calibrated, the pad drives nothing. */
  readonly onBusy: (busy: boolean) => void
}

type Learning =
  { readonly axis: PadAxis | KnobByAxis } | { readonly act: PadAct | ToldByButton } | 'rest' | undefined

/** What the axes and buttons of the pad do: by moving them. */
export const PadPanel = memo(function PadPanel({ job, device, name, map, onBusy }: Props) {
  const queries = useQueryClient()
  const [learning, setLearning] = useState<Learning>()
  const keep = useMutation({
    mutationFn: (to: PadMap) => put<{ readonly map: PadMap }>(padPath(job.id), { name, map: to }),
    onMutate: (to) => queries.setQueryData(padKey(job.id, name), { map: to }),
  })
  const { mutate } = keep
  useEffect(() => {
    onBusy(learning !== undefined)
    if (learning === undefined) return
    const begun = present()?.axes.slice() ?? []
    const rest: number[][] = []
    const done = (to: PadMap) => {
      setLearning(undefined)
      mutate(to)
    }
    const look = setInterval(() => {
      const pad = present()
      if (!pad) return setLearning(undefined)
      if (learning === 'rest') {
        rest.push(pad.axes.slice())
        if (rest.length * LOOK_MILLIS >= REST_MILLIS) done(calibrated(map, rest))
      } else if ('axis' in learning) {
        const moved = movedAxis(begun, pad.axes)
        if (moved) done(withAxis(map, learning.axis, moved.axis, moved.turned))
      } else {
        const button = pad.buttons.findIndex((b) => b.pressed)
        if (button >= 0) done(withButton(map, learning.act, button))
      }
    }, LOOK_MILLIS)
    return () => clearInterval(look)
  }, [learning, map, mutate, onBusy])

  const axis = (to: PadAxis) => map.axes.find((a) => a.to === to)
  const button = (to: PadAct) => map.buttons.find((b) => b.to === to)
  return (
    <Box component="section" aria-label="Game pad" sx={{ mt: 1.5 }}>
      <Box component="h2" sx={{ typography: 'h2', m: 0 }}>
        Game pad
      </Box>
      {name === '' ? (
        <p style={{ margin: 0 }}>None is seen. Connect one and press any of its buttons.</p>
      ) : (
        <>
          <Box sx={{ color: 'text.secondary', fontSize: '0.88rem' }}>Kept for you and {name}</Box>
          {keep.error && <Trouble>{sentence(keep.error)}</Trouble>}
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 0.5 }}>
            {STICK_AXES.map((to) => (
              <Button
                key={to}
                variant="outlined"
                aria-pressed={isFor(learning, to)}
                onClick={() => setLearning({ axis: to })}
              >
                {isFor(learning, to)
                  ? `${AXIS_WORDS[to]} now …`
                  : `${AXIS_WORDS[to].split(':')[0]}: ${axis(to) ? `axis ${(axis(to)?.axis ?? 0) + 1}${axis(to)?.turned ? ', turned' : ''}` : 'none'}`}
              </Button>
            ))}
            <Button variant="outlined" onClick={() => setLearning('rest')}>
              {learning === 'rest' ? 'Do not touch it …' : 'Let go of it and calibrate'}
            </Button>
          </Box>
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 1 }}>
            {ACTS.map((to) => (
              <Button
                key={to}
                size="small"
                variant="outlined"
                aria-pressed={isFor(learning, to)}
                onClick={() => setLearning({ act: to })}
              >
                {ACT_WORDS[to]}:{' '}
                {isFor(learning, to)
                  ? 'press a button now …'
                  : button(to)
                    ? `button ${(button(to)?.button ?? 0) + 1}`
                    : 'none'}
              </Button>
            ))}
          </Box>
          <MoreOfPad
            job={job}
            device={device}
            map={map}
            learning={learning}
            onLearn={setLearning}
            onKeep={mutate}
          />
        </>
      )}
    </Box>
  )
})

/** What the pad can do besides, in words. */
function toldWords(to: string): string {
  const [kind, ...name] = to.split(':')
  const what = name.join(':')
  return kind === 'up' ? `${what}, one up` : kind === 'down' ? `${what}, one down` : what
}

interface MoreProps {
  readonly job: Job
  readonly device: number
  readonly map: PadMap
  readonly learning: Learning
  readonly onLearn: (what: Learning) => void
  readonly onKeep: (map: PadMap) => void
}

/** Any knob or verb of the taken camera on any axis or button; it then does the same for every camera that has it. */
function MoreOfPad({ job, device, map, learning, onLearn, onKeep }: MoreProps) {
  const view = useToldViews(job).data?.find((v) => v.device === device)
  const there = [...map.axes, ...map.buttons].filter((u) => u.to.includes(':'))
  const choices = view ? padChoices(view) : []
  return (
    <Box sx={{ mt: 1 }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        {there.map((use) => (
          <Button
            key={use.to}
            size="small"
            variant="outlined"
            title="Press to take it off the pad"
            onClick={() => onKeep(without(map, use.to))}
          >
            {toldWords(use.to)}: {'axis' in use ? `axis ${use.axis + 1}` : `button ${use.button + 1}`}, take
            off
          </Button>
        ))}
      </Box>
      {choices.length > 0 && (
        <TextField
          select
          fullWidth
          size="small"
          label={
            learning === undefined
              ? `A knob or verb of ${view?.name ?? ''} on the pad`
              : 'Move an axis or press a button now …'
          }
          value=""
          onChange={(e) =>
            onLearn(
              e.target.value.startsWith('knob:')
                ? { axis: e.target.value as KnobByAxis }
                : { act: e.target.value as ToldByButton },
            )
          }
          sx={{ mt: 1 }}
        >
          {choices.map((to) => (
            <MenuItem key={to} value={to}>
              {toldWords(to)}
              {to.startsWith('knob:') && ', by an axis'}
            </MenuItem>
          ))}
        </TextField>
      )}
    </Box>
  )
}

function isFor(learning: Learning, what: string): boolean {
  return (
    typeof learning === 'object' &&
    (('axis' in learning && learning.axis === what) || ('act' in learning && learning.act === what))
  )
}
