import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { memo, useDeferredValue, useState } from 'react'
import { createPortal } from 'react-dom'
import { rights } from '../../shared/api/changes'
import type { Job, Knob, ToldView, Verb } from '../../shared/api/types'
import { useSteady } from '../../shared/ui/useSteady'
import { CameraTrouble } from './CameraTrouble'
import type { Grave } from './GraveDialog'
import { GraveDialog } from './GraveDialog'
import { KnobControl } from './KnobControl'
import type { Readings } from './knobs'
import { cannot, held, nothingRead, valueWords } from './knobs'
import { MenuPad } from './MenuPad'
import { ofMenu } from './menu'
import type { ToldHand } from './toldHand'
import { stepped, useToldHand } from './toldHand'
import { useKnobs, useToldViews } from './useTold'

const none: Readings = {}

const groups = [
  ['lens', 'Lens'],
  ['camera', 'Camera'],
  ['paint', 'Picture'],
] as const

/**
 * All that the taken camera can be told, in one plain column. Memoised: the desk is drawn anew ten times a
 * second while a head moves, and a page that is busy with that misses its beat.
 */
export const Functions = memo(function Functions({
  job,
  device,
  asks,
  kept: keptNow,
  hand,
  menuAt,
}: {
  readonly job: Job
  readonly device: number
  /** Values are read again and again; not while somebody drives. */
  readonly asks: boolean
  /** Why nothing of it is to be changed now; empty when it may. */
  readonly kept: string
  /** What turns knobs and tells verbs from outside this column. */
  readonly hand: ToldHand
  /** Where its menu is gone through: beside the picture that the menu is in. */
  readonly menuAt: HTMLElement | null
}) {
  const told = useToldViews(job)
  // Drawn in small pieces after the camera was taken: a stick that is held meanwhile must not miss its beat.
  const shown = useDeferredValue(device, 0)
  const view = told.data?.find((v) => v.device === shown)
  if (!view || shown !== device) return null
  return (
    <Column key={shown} job={job} view={view} asks={asks} keptNow={keptNow} hand={hand} menuAt={menuAt} />
  )
})

interface ColumnProps {
  readonly job: Job
  readonly view: ToldView
  readonly asks: boolean
  readonly keptNow: string
  readonly hand: ToldHand
  readonly menuAt: HTMLElement | null
}

function Column({ job, view, asks, keptNow, hand, menuAt }: ColumnProps) {
  const knobs = useKnobs(job, [view.device], asks)
  const [grave, setGrave] = useState<Grave>()
  const readings = useDeferredValue(knobs.readings[view.device] ?? none)
  const lookOn = rights(job).drive ? '' : 'you look on'
  const keeps = (what: Knob | Verb) => lookOn || keptNow || cannot(what, view, readings)
  const turn = useSteady((_: number, knob: Knob, value: number) => {
    if (knob.does === 'powers' || knob.does === 'restarts' || knob.does === 'erases') {
      setGrave({
        device: view.device,
        camera: view.name,
        name: knob.name,
        value,
        valueWords: valueWords(knob, value),
      })
    } else void knobs.turn(view, knob, value)
  })
  const tell = (verb: Verb) => {
    if (verb.grave)
      setGrave({ device: view.device, camera: view.name, name: verb.name, value: null, valueWords: '' })
    else void knobs.tell(view.device, verb.name, false)
  }
  useToldHand(hand, {
    view,
    step: (name, by) => {
      const knob = view.knobs.find((k) => k.name === name)
      const at = knob && (hand.wanted(name) ?? readings[name]?.value)
      if (!knob || typeof at !== 'number' || keeps(knob) !== '') return
      const to = stepped(knob, at, by)
      hand.want(name, to)
      if (Math.round(to) !== Math.round(at)) turn(view.device, knob, held(knob, to))
    },
    tell: (name) => {
      const verb = view.verbs.find((v) => v.name === name)
      if (verb && verb.does !== 'moves' && keeps(verb) === '') tell(verb)
    },
  })
  const send = () => {
    if (!grave) return
    const knob = view.knobs.find((k) => k.name === grave.name)
    if (knob && grave.value !== null) void knobs.turn(view, knob, grave.value, true)
    else void knobs.tell(view.device, grave.name, true)
    setGrave(undefined)
  }
  const plain = view.verbs.filter((v) => !ofMenu(v))
  return (
    <Box component="section" aria-label={`Functions of ${view.name}`} sx={{ mt: 2 }}>
      <CameraTrouble job={job} view={view} knobs={knobs} />
      {plain.length > 0 && (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mb: 1 }}>
          {plain.map((v) => {
            const kept = keeps(v)
            return (
              <Button
                key={v.name}
                variant="outlined"
                disabled={kept !== '' || v.does === 'moves'}
                sx={{ '&.Mui-disabled': { color: 'text.secondary' } }}
                onClick={() => tell(v)}
              >
                {v.name}
                {v.grave && ' …'}
                {kept && (
                  <Box component="span" sx={{ ml: 1, fontWeight: 400, color: 'text.primary' }}>
                    {kept}
                  </Box>
                )}
              </Button>
            )
          })}
        </Box>
      )}
      {menuAt &&
        createPortal(<MenuPad view={view} readings={readings} keeps={keeps} onTell={tell} />, menuAt)}
      {groups.map(([use, title]) => {
        const mine = view.knobs.filter((k) => k.use === use)
        return (
          mine.length > 0 && (
            <Box key={use} component="section">
              <Box component="h2" sx={{ typography: 'h2', mt: 1.5, mb: 0.5 }}>
                {title}
              </Box>
              {mine.map((k) => (
                <Box
                  key={k.name}
                  sx={{
                    display: 'grid',
                    gridTemplateColumns: '150px minmax(0, 430px)',
                    columnGap: 2,
                    borderTop: '1px solid',
                    borderColor: 'divider',
                    py: 0.5,
                  }}
                >
                  <Box sx={{ pt: 0.75, fontWeight: 600 }}>{k.name}</Box>
                  <KnobControl
                    knob={k}
                    camera={view.name}
                    reading={readings[k.name]}
                    unread={nothingRead(readings) !== undefined}
                    kept={keeps(k)}
                    device={view.device}
                    onTurn={turn}
                  />
                </Box>
              ))}
            </Box>
          )
        )
      })}
      {grave && <GraveDialog job={job} grave={grave} onTell={send} onClose={() => setGrave(undefined)} />}
    </Box>
  )
}
