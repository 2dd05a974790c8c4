import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Checkbox from '@mui/material/Checkbox'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import { useState } from 'react'
import { Link as RouterLink } from 'react-router'
import { rights } from '../../shared/api/changes'
import { sentence } from '../../shared/api/client'
import type { Job, Knob, ToldView } from '../../shared/api/types'
import { typing, useKeys } from '../../shared/ui/keys'
import { Page } from '../../shared/ui/Page'
import type { PageKey } from '../../shared/ui/pageKeys'
import { Trouble } from '../../shared/ui/Trouble'
import { useSteady } from '../../shared/ui/useSteady'
import { CameraTrouble } from './CameraTrouble'
import { CopyKnobs } from './CopyKnobs'
import { KnobControl } from './KnobControl'
import type { Readings } from './knobs'
import { cannot, nothingRead } from './knobs'
import { useKnobs, useToldViews } from './useTold'

const paintKeys: readonly PageKey[] = [
  ['Tab', 'next knob'],
  ['arrows', 'turn it by a step'],
  ['wheel', 'turn the knob that was clicked'],
  ['Z', 'take the last turn back'],
]

const paintKnobs = (view: ToldView) => view.knobs.filter((k) => k.use === 'paint')

/** The paint knobs of one camera, or of two beside each other. */
export function PaintPage({ job }: { readonly job: Job }) {
  const told = useToldViews(job)
  const views = (told.data ?? []).filter((v) => paintKnobs(v).length > 0)
  return (
    <Page title="Paint" job={job} findings={[]} keys={paintKeys}>
      {told.error && <Trouble>{sentence(told.error)}</Trouble>}
      {told.data && views.length === 0 && <NothingToPaint job={job} />}
      {views.length > 0 && <Painting job={job} views={views} />}
    </Page>
  )
}

function NothingToPaint({ job }: { readonly job: Job }) {
  return (
    <Box sx={{ maxWidth: 560 }}>
      <p>
        No camera of this job has a knob for its picture. Which knobs a camera has is a fact of its profile:
        see or teach them on Kit.
      </p>
      <Button component={RouterLink} to={`/jobs/${job.id}/kit`} variant="contained">
        Go to Kit
      </Button>
    </Box>
  )
}

interface PaintingProps {
  readonly job: Job
  readonly views: readonly ToldView[]
}

function Painting({ job, views }: PaintingProps) {
  const [left, setLeft] = useState(views[0]?.device ?? 0)
  const [right, setRight] = useState(0)
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set())
  const shown = [left, right].flatMap((d) => views.filter((v) => v.device === d))
  const knobs = useKnobs(
    job,
    shown.map((v) => v.device),
  )
  const may = rights(job).drive
  const turn = useSteady((device: number, knob: Knob, value: number) => {
    const view = views.find((v) => v.device === device)
    if (view) void knobs.turn(view, knob, value)
  })
  useKeys((e) => {
    if (e.key === 'z' && !typing(e.target) && !e.metaKey && !e.altKey) {
      e.preventDefault()
      void knobs.undo(views)
    }
  })
  const names = [...new Set(shown.flatMap((v) => paintKnobs(v).map((k) => k.name)))]
  const last = knobs.turns.at(-1)
  const choose = (name: string) =>
    setChosen((all) => new Set(all.has(name) ? [...all].filter((n) => n !== name) : [...all, name]))
  return (
    <>
      {!may && <p>Your role in this job is to look on: you can watch here, not turn.</p>}
      <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'center', mb: 1 }}>
        <Choose label="Camera" value={left} views={views} onChoose={setLeft} />
        <Choose label="Beside it" value={right} views={views} onChoose={setRight} none />
        <Button variant="outlined" disabled={!last || !may} onClick={() => void knobs.undo(views)}>
          {last ? `Take back: ${last.camera}, ${last.knob} to ${last.before} (Z)` : 'Take back (Z)'}
        </Button>
        <Button onClick={knobs.readAgain}>Read again</Button>
      </Box>
      {knobs.error && <Trouble>{sentence(knobs.error)}</Trouble>}
      {shown.map((v) => (
        <CameraTrouble key={v.device} job={job} view={v} knobs={knobs} />
      ))}
      {shown
        .filter((v) => v.needs.length > 0)
        .map((v) => (
          <p key={v.device}>
            {v.name} is painted only with: {v.needs.join(', ')}.
          </p>
        ))}
      <Box
        role="table"
        aria-label="Knobs"
        sx={{
          display: 'grid',
          gridTemplateColumns: `200px repeat(${shown.length}, minmax(0, 430px))`,
          columnGap: 3,
        }}
      >
        <Box role="row" sx={{ display: 'contents' }}>
          <span role="columnheader">Knob</span>
          {shown.map((v) => (
            <Box key={v.device} role="columnheader" sx={{ typography: 'h2' }}>
              {v.name}
            </Box>
          ))}
        </Box>
        {names.map((name) => (
          <Box key={name} role="row" data-knob={name} sx={{ display: 'contents' }}>
            <Box
              role="rowheader"
              sx={{
                display: 'flex',
                alignItems: 'start',
                borderTop: '1px solid',
                borderColor: 'divider',
                pt: 0,
              }}
            >
              <Checkbox
                size="small"
                checked={chosen.has(name)}
                onChange={() => choose(name)}
                slotProps={{ input: { 'aria-label': `Copy ${name}` } }}
              />
              <Box sx={{ pt: 0.75, fontWeight: 600 }}>{name}</Box>
            </Box>
            {shown.map((v) => (
              <Box
                key={v.device}
                role="cell"
                sx={{ borderTop: '1px solid', borderColor: 'divider', py: 0.25 }}
              >
                <Cell
                  view={v}
                  knob={v.knobs.find((k) => k.name === name)}
                  readings={knobs.readings[v.device]}
                  may={may}
                  onTurn={turn}
                />
              </Box>
            ))}
          </Box>
        ))}
      </Box>
      {shown[0] && may && <CopyKnobs from={shown[0]} views={views} chosen={chosen} knobs={knobs} />}
    </>
  )
}

interface CellProps {
  readonly view: ToldView
  readonly knob: Knob | undefined
  readonly readings: Readings | undefined
  readonly may: boolean
  readonly onTurn: (device: number, knob: Knob, value: number) => void
}

function Cell({ view, knob, readings = {}, may, onTurn }: CellProps) {
  if (!knob) return <Box sx={{ color: 'text.secondary', pt: 0.75 }}>has none</Box>
  return (
    <KnobControl
      knob={knob}
      camera={view.name}
      reading={readings[knob.name]}
      unread={nothingRead(readings) !== undefined}
      kept={may ? cannot(knob, view, readings) : 'you look on'}
      device={view.device}
      onTurn={onTurn}
    />
  )
}

interface ChooseProps {
  readonly label: string
  readonly value: number
  readonly views: readonly ToldView[]
  readonly none?: boolean
  readonly onChoose: (device: number) => void
}

function Choose({ label, value, views, none = false, onChoose }: ChooseProps) {
  return (
    <TextField
      select
      size="small"
      label={label}
      value={value}
      onChange={(e) => onChoose(Number(e.target.value))}
      sx={{ minWidth: 130 }}
    >
      {none && <MenuItem value={0}>nobody</MenuItem>}
      {views.map((v) => (
        <MenuItem key={v.device} value={v.device}>
          {v.name}
        </MenuItem>
      ))}
    </TextField>
  )
}
