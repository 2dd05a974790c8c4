import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import { useEffect, useState } from 'react'
import { sentence } from '../../shared/api/client'
import type { BringUp, Device, Job, Step } from '../../shared/api/types'
import { duration } from '../../shared/format/duration'
import { CopyValue } from '../../shared/ui/CopyValue'
import { EditCell } from '../../shared/ui/EditCell'
import { Trouble } from '../../shared/ui/Trouble'
import { ActionList } from './ActionList'
import { ChainNumbers } from './ChainNumbers'
import { CommandLines } from './CommandLines'
import { Countdown } from './Countdown'
import { Otherwise } from './Otherwise'
import { forgetting } from './laptopCommands'
import type { useBringUp } from './useBringUp'
import { handWords, shortWords } from './words'

interface Props {
  readonly job: Job
  readonly step: Step
  readonly view: BringUp
  readonly bringUp: ReturnType<typeof useBringUp>
  /** Whoever may not only looks on. */
  readonly may: boolean
}

const LAPTOP = new Set(['hop-out', 'hop-home', 'alias'])

/** One step at arm's length: what to do, what to type, what is then to be seen. */
export function StepCard({ job, step, view, bringUp, may }: Props) {
  const { check, act } = bringUp
  const now = view.now
  const fresh = useFresh()
  const outcome = check.data && !check.data.done && check.variables === step.number ? check.data : undefined
  const error = check.error ?? act.error
  const device = job.devices.find((d) => d.id === step.deviceId)
  return (
    <Paper sx={{ p: 2.5 }} data-step={step.kind} aria-live="polite">
      <Box
        sx={{ color: 'text.secondary', display: 'flex', justifyContent: 'space-between', flexWrap: 'wrap' }}
      >
        <span>
          {step.device && <b>{step.device} · </b>}Step {step.number} of {view.steps.length}
        </span>
        <span>{duration(view.secondsLeft)} left by plan</span>
      </Box>
      <Way view={view} step={step} />
      <Box component="h2" sx={{ fontSize: '1.5rem', mt: 0.5, mb: 1 }}>
        {now.title}
      </Box>
      <Cautions cautions={now.cautions} />
      <Box sx={{ fontSize: '1.1rem', mb: 1 }}>{now.todo}</Box>
      {LAPTOP.has(step.kind) && <CopyValue label="Laptop" value={step.laptop} />}
      <ActionList job={job} actions={now.actions} />
      {step.kind === 'verify' && device && <Firmware job={job} device={device} />}
      {now.clears !== '' && (
        <Box sx={{ my: 1 }}>
          Another device had <b className="mono">{now.clears}</b> before: the laptop must forget that one.
          <CommandLines commands={forgetting(now.clears)} />
        </Box>
      )}
      <Countdown left={view.waitSeconds} total={view.waitTotal} speed={view.speed} />
      <Box sx={{ my: 1 }}>
        <b>You should then see:</b> {now.expect}
      </Box>
      {now.watched !== '' && (
        <Box sx={{ my: 1, display: 'flex', gap: 1, alignItems: 'baseline' }} data-watched>
          <Box
            component="span"
            sx={{ border: '1px solid', borderRadius: 1, px: 0.75, fontSize: '0.8rem', whiteSpace: 'nowrap' }}
          >
            asked
          </Box>
          {now.watched}
        </Box>
      )}
      {step.kind === 'ask' && device && <ChainNumbers job={job} device={device.id} />}
      {outcome && (
        <Trouble>
          <b>Not done: {outcome.saw}.</b> {outcome.next}
        </Trouble>
      )}
      {error && <Trouble>{sentence(error)}</Trouble>}
      {step.deviceId !== null && may && (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', mx: -1, mb: 1 }}>
          <Otherwise step={step} bringUp={bringUp} />
        </Box>
      )}
      {/* A long card scrolls behind it: who stands on a ladder presses without looking for it. */}
      <Box
        sx={{
          display: 'flex',
          gap: 1.5,
          flexWrap: 'wrap',
          position: 'sticky',
          // As low as the page's own edge.
          bottom: { xs: 0, sm: -16 },
          mx: -2.5,
          mb: -2.5,
          px: 2.5,
          py: 1.5,
          bgcolor: 'background.paper',
          borderTop: '1px solid',
          borderColor: 'divider',
          borderRadius: 'inherit',
        }}
      >
        {now.hands && (
          <Button
            variant="outlined"
            size="large"
            onClick={() => act.mutate(step.number)}
            disabled={act.isPending || check.isPending || !may || fresh}
          >
            In the rig: {handWords[step.kind]}
          </Button>
        )}
        <Button
          variant={now.watched === '' ? 'contained' : 'outlined'}
          size="large"
          onClick={() => check.mutate(step.number)}
          // A step that is ticked while a hand is still at it would leave it half done.
          disabled={check.isPending || act.isPending || !may || fresh}
        >
          {check.isPending
            ? 'Asking …'
            : step.kind === 'ask'
              ? 'Ask it'
              : now.watched === ''
                ? 'Done, check it'
                : 'Check it now'}
        </Button>
      </Box>
    </Paper>
  )
}

/** The steps of this device: what is behind it, what is done now, what is still to come. */
function Way({ view, step }: { readonly view: BringUp; readonly step: Step }) {
  const own = view.steps.filter((s) => s.deviceId !== null && s.deviceId === step.deviceId)
  if (own.length < 2) return null
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 1.5, fontSize: '0.9rem', mt: 0.5 }}>
      {own.map((s) => (
        <Box
          key={s.number}
          component="span"
          title={s.saw}
          sx={{
            fontWeight: s.number === step.number ? 700 : 400,
            color: s.number === step.number ? 'text.primary' : 'text.secondary',
          }}
        >
          {s.done ? '✓ ' : s.number === step.number ? '▸ ' : ''}
          {shortWords[s.kind]}
          {s.done && s.evidence !== '' && ` (${s.evidence})`}
        </Box>
      ))}
    </Box>
  )
}

function Cautions({ cautions }: { readonly cautions: readonly string[] }) {
  return cautions.map((c) => (
    <Box
      key={c}
      role="note"
      sx={{ borderLeft: '4px solid', borderColor: 'primary.main', pl: 1.5, py: 0.25, mb: 1 }}
    >
      <b>Caution.</b> {c}
    </Box>
  ))
}

function Firmware({ job, device }: { readonly job: Job; readonly device: Device }) {
  return (
    <Box sx={{ mb: 1 }}>
      Firmware as found:{' '}
      <EditCell
        job={job}
        item="device"
        id={device.id}
        field="firmware"
        value={device.firmware}
        label={`Firmware of ${device.name}`}
        hint="as its page says it, for example 2.4.1"
      >
        {device.firmware || 'not noted'}
      </EditCell>
    </Box>
  )
}

/**
 * True for a moment after a card appears: a card may tick itself under a finger, and neither that press nor
 * the second half of a double click must be one for the next step.
 */
function useFresh(): boolean {
  const [fresh, setFresh] = useState(true)
  useEffect(() => {
    const timer = setTimeout(() => setFresh(false), 300)
    return () => clearTimeout(timer)
  }, [])
  return fresh
}
