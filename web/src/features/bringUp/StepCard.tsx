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
import { Countdown } from './Countdown'
import { Otherwise } from './Otherwise'
import type { useBringUp } from './useBringUp'
import { handWords } from './words'

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
      <Box sx={{ color: 'text.secondary', display: 'flex', justifyContent: 'space-between' }}>
        <span>
          Step {step.number} of {view.steps.length}
        </span>
        <span>{duration(view.secondsLeft)} left by plan</span>
      </Box>
      <Box component="h2" sx={{ fontSize: '1.5rem', mt: 0.5, mb: 1 }}>
        {now.title}
      </Box>
      <Cautions cautions={now.cautions} />
      <Box sx={{ fontSize: '1.1rem', mb: 1 }}>{now.todo}</Box>
      {LAPTOP.has(step.kind) && <CopyValue label="Laptop" value={step.laptop} />}
      <ActionList job={job} actions={now.actions} />
      {step.kind === 'verify' && device && <Firmware job={job} device={device} />}
      <Countdown left={view.waitSeconds} total={view.waitTotal} speed={view.speed} />
      <Box sx={{ my: 1 }}>
        <b>You should then see:</b> {now.expect}
      </Box>
      {outcome && (
        <Trouble>
          <b>Not done: {outcome.saw}.</b> {outcome.next}
        </Trouble>
      )}
      {error && <Trouble>{sentence(error)}</Trouble>}
      <Box sx={{ display: 'flex', gap: 1.5, mt: 1.5, flexWrap: 'wrap' }}>
        {now.hands && (
          <Button
            variant="outlined"
            size="large"
            onClick={() => act.mutate(step.number)}
            disabled={act.isPending || !may}
          >
            In the rig: {handWords[step.kind]}
          </Button>
        )}
        <Button
          variant="contained"
          size="large"
          onClick={() => check.mutate(step.number)}
          disabled={check.isPending || !may || fresh}
        >
          {check.isPending ? 'Asking …' : 'Done, check it'}
        </Button>
        {step.deviceId !== null && may && <Otherwise step={step} bringUp={bringUp} />}
      </Box>
    </Paper>
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

/** True for a moment after a card appears: the second half of a double click must not answer the next step. */
function useFresh(): boolean {
  const [fresh, setFresh] = useState(true)
  useEffect(() => {
    const timer = setTimeout(() => setFresh(false), 300)
    return () => clearTimeout(timer)
  }, [])
  return fresh
}
