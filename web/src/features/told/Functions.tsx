import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { memo, useDeferredValue, useState } from 'react'
import { rights } from '../../shared/api/changes'
import type { Job, Knob, ToldView, Verb } from '../../shared/api/types'
import { useSteady } from '../../shared/ui/useSteady'
import { CameraTrouble } from './CameraTrouble'
import type { Grave } from './GraveDialog'
import { GraveDialog } from './GraveDialog'
import { KnobControl } from './KnobControl'
import type { Readings } from './knobs'
import { cannot, valueWords } from './knobs'
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
}: {
  readonly job: Job
  readonly device: number
  /** Values are read again and again; not while somebody drives. */
  readonly asks: boolean
}) {
  const told = useToldViews(job)
  // Drawn in small pieces after the camera was taken: a stick that is held meanwhile must not miss its beat.
  const shown = useDeferredValue(device, 0)
  const view = told.data?.find((v) => v.device === shown)
  if (!view || shown !== device) return null
  return <Column key={shown} job={job} view={view} asks={asks} />
})

interface ColumnProps {
  readonly job: Job
  readonly view: ToldView
  readonly asks: boolean
}

function Column({ job, view, asks }: ColumnProps) {
  const knobs = useKnobs(job, [view.device], asks)
  const [grave, setGrave] = useState<Grave>()
  const readings = useDeferredValue(knobs.readings[view.device] ?? none)
  const may = rights(job).drive
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
  const send = () => {
    if (!grave) return
    const knob = view.knobs.find((k) => k.name === grave.name)
    if (knob && grave.value !== null) void knobs.turn(view, knob, grave.value, true)
    else void knobs.tell(view.device, grave.name, true)
    setGrave(undefined)
  }
  return (
    <Box component="section" aria-label={`Functions of ${view.name}`} sx={{ mt: 2 }}>
      <CameraTrouble job={job} view={view} knobs={knobs} />
      {view.verbs.length > 0 && (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mb: 1 }}>
          {view.verbs.map((v) => {
            const kept = may ? cannot(v, view, readings) : 'you look on'
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
                    kept={may ? cannot(k, view, readings) : 'you look on'}
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
