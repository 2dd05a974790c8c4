import Box from '@mui/material/Box'
import type { ReactNode } from 'react'
import type { Job, RunDetail, RunEnd } from '../../shared/api/types'
import { length } from '../../shared/format/length'
import { ChoiceCell } from '../../shared/ui/ChoiceCell'
import { EditCell } from '../../shared/ui/EditCell'
import { Fact } from '../../shared/ui/Fact'
import { cableWords, laidWords, only, pinWords } from './cableWords'

interface Props {
  readonly job: Job
  readonly run: RunDetail
}

const yesNo = { true: 'yes', false: 'no' }
const subscriptions = {
  '': 'not at all',
  'to-camera': 'to the camera only',
  'from-camera': 'from the camera only',
  'to-camera from-camera': 'both ways',
}
const framings = Object.fromEntries(['8N1', '8E1', '8O1', '8N2', '7E1', '7O1'].map((f) => [f, f]))

/** Sockets, cable, length and how the ends are made, each to correct where it stands. */
export function RunFacts({ job, run }: Props) {
  const text = (field: string) => run.texts[field] ?? ''
  const choice = (field: string, label: string, choices: Readonly<Record<string, string>>) => (
    <ChoiceCell
      job={job}
      item="run"
      id={run.id}
      field={field}
      value={text(field)}
      label={label}
      choices={choices}
    />
  )
  const pins =
    run.signal === 'network'
      ? ['', 't568a', 't568b']
      : run.signal.startsWith('rs-4')
        ? ['', 'first-to-plus', 'first-to-minus']
        : ['', 'straight', 'cascade']
  const made = run.signal === 'network' || run.signal.startsWith('rs-')
  const copper = run.gauges.length > 0
  return (
    <Box component="section" aria-label="Run" sx={{ mb: 2 }}>
      <End job={job} run={run} end={run.from} field="fromPort" name="From" />
      <End job={job} run={run} end={run.to} field="toPort" name="To" />
      <Fact name="Cable">{choice('cable', 'Cable', only(cableWords, run.cables))}</Fact>
      <Fact name="Length">
        <EditCell
          job={job}
          item="run"
          id={run.id}
          field="metres"
          value={text('metres')}
          typing={length(text('metres'), job.site.units)}
          label="Length"
          hint="30, 24.5 m, 80ft and 6' 3&quot; all work"
        >
          <span className="mono">{length(text('metres'), job.site.units)}</span>
        </EditCell>
      </Fact>
      {copper && (
        <Fact name="Gauge">
          {choice('gauge', 'Gauge', {
            '': `as usual, AWG ${run.usualGauge}`,
            ...Object.fromEntries(run.gauges.map((g) => [g, `AWG ${g}`])),
          })}
          , copper-clad: {choice('clad', 'Copper-clad', yesNo)}
        </Fact>
      )}
      {run.signal === 'network' && <Fact name="Power over it">{choice('poe', 'Power over it', yesNo)}</Fact>}
      {made && (
        <Fact name="Ends are made">
          {choice('fromPins', 'Pins at the start', only(pinWords, pins))} and{' '}
          {choice('toPins', 'Pins at the end', only(pinWords, pins))}
        </Fact>
      )}
      <Fact name="Laid">{choice('laid', 'Laid', laidWords)}</Fact>
      <Fact name="Label on both ends">
        <EditCell
          job={job}
          item="run"
          id={run.id}
          field="label"
          value={text('label')}
          label="Label"
          hint="for example N-04"
        >
          {text('label') || '–'}
        </EditCell>
      </Fact>
      {run.signal === 'rs-232' && (
        <Fact name="Decoder subscribed">{choice('subscribed', 'Subscribed', subscriptions)}</Fact>
      )}
      {[run.from, run.to].map((end) => (
        <Settings key={end.device} job={job} end={end} />
      ))}
    </Box>
  )
}

interface EndProps extends Props {
  readonly end: RunEnd
  readonly field: string
  readonly name: string
}

function End({ job, run, end, field, name }: EndProps) {
  return (
    <Fact name={name}>
      {end.name}{' '}
      <ChoiceCell
        job={job}
        item="run"
        id={run.id}
        field={field}
        value={end.port}
        label={`Socket of ${end.name}`}
        choices={Object.fromEntries(end.sockets.map((s) => [s, s]))}
      />
    </Fact>
  )
}

/** What a device's menus must say for this run to work. */
function Settings({ job, end }: { readonly job: Job; readonly end: RunEnd }) {
  const settings = Object.entries(end.settings)
  if (settings.length === 0) return null
  const cells: Readonly<Record<string, (value: string) => ReactNode>> = {
    baud: (v) => number(job, end, 'baud', v, 'baud, empty for as from the factory'),
    framing: (v) => choose(job, end, 'framing', v, { '': 'as from the factory', ...framings }),
    serialProtocol: (v) =>
      choose(job, end, 'serialProtocol', v, {
        '': 'not noted',
        'visca-serial': 'VISCA',
        'd-protocol': 'D protocol',
      }),
    terminator: (v) => choose(job, end, 'terminator', v, { true: '120 Ω on', false: 'off' }),
    irOff: (v) => choose(job, end, 'irOff', v, { true: 'off', false: 'on' }),
    viewers: (v) => number(job, end, 'viewers', v, 'how many take its network picture'),
    streamRate: (v) => number(job, end, 'streamRate', v, 'Mb/s, empty for what is usual'),
  }
  return settings.map(([field, value]) => (
    <Fact key={field} name={`${end.name}: ${words[field] ?? field}`}>
      {cells[field]?.(value)}
    </Fact>
  ))
}

const words: Readonly<Record<string, string>> = {
  baud: 'baud',
  framing: 'bits',
  serialProtocol: 'protocol',
  terminator: 'terminator',
  irOff: 'infrared receiver',
  viewers: 'viewers',
  streamRate: 'bit rate',
}

function number(job: Job, end: RunEnd, field: string, value: string, hint: string) {
  return (
    <EditCell
      job={job}
      item="device"
      id={end.device}
      field={field}
      value={value}
      label={`${words[field]} of ${end.name}`}
      hint={hint}
    >
      <span className="mono">{value || 'as usual'}</span>
    </EditCell>
  )
}

function choose(
  job: Job,
  end: RunEnd,
  field: string,
  value: string,
  choices: Readonly<Record<string, string>>,
) {
  return (
    <ChoiceCell
      job={job}
      item="device"
      id={end.device}
      field={field}
      value={value}
      label={`${words[field]} of ${end.name}`}
      choices={choices}
    />
  )
}
