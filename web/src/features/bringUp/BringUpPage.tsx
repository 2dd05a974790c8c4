import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import { useEffect, useState } from 'react'
import { rights } from '../../shared/api/changes'
import { sentence } from '../../shared/api/client'
import type { BringUp, Job, Step } from '../../shared/api/types'
import { duration } from '../../shared/format/duration'
import { CopyValue } from '../../shared/ui/CopyValue'
import { Page } from '../../shared/ui/Page'
import { Trouble } from '../../shared/ui/Trouble'
import { Countdown } from './Countdown'
import { LaptopCard } from './LaptopCard'
import { RigHall } from './RigHall'
import { RunSheetList } from './RunSheetList'
import { stepWords } from './stepWords'
import { useBringUp } from './useBringUp'

/** Bringing new cameras to their addresses: one step at arm's length. */
export function BringUpPage({ job }: { readonly job: Job }) {
  const bringUp = useBringUp(job.id)
  const view = bringUp.view.data
  const findings = job.findings.filter((f) => f.code.startsWith('ADDR-'))
  const again =
    view?.started && rights(job).plan ? (
      <Button
        variant="outlined"
        onClick={() => {
          if (
            window.confirm(
              'Start the run sheet anew for the cameras that are not set yet? What is set stays set.',
            )
          )
            bringUp.start.mutate()
        }}
      >
        Start anew …
      </Button>
    ) : undefined
  return (
    <Page title="Bring-up" job={job} findings={findings} actions={again}>
      {bringUp.view.error && <Trouble>{sentence(bringUp.view.error)}</Trouble>}
      {view && (
        <Box
          sx={{
            display: 'grid',
            gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) 236px' },
            gap: 2,
          }}
        >
          <div>
            <Now view={view} bringUp={bringUp} may={rights(job).plan} />
            {view.started && !view.finished && <LaptopCard laptop={view.laptop} />}
            <RigHall job={job.id} />
          </div>
          <RunSheetList view={view} />
        </Box>
      )}
    </Page>
  )
}

interface NowProps {
  readonly view: BringUp
  /** Whoever may not only looks on. */
  readonly may: boolean
  readonly bringUp: ReturnType<typeof useBringUp>
}

function Now({ view, bringUp, may }: NowProps) {
  if (!view.started) return <BeforeStart view={view} bringUp={bringUp} may={may} />
  const step = view.steps.find((s) => s.number === view.current)
  if (!step) {
    return (
      <Paper sx={{ p: 3 }}>
        <Box component="h2" sx={{ typography: 'h2', mt: 0 }}>
          All {view.steps.filter((s) => s.kind === 'verify').length} cameras answer at their planned addresses
        </Box>
        Each was asked for its version and its position. Go on to the Desk and drive them.
      </Paper>
    )
  }
  return <StepCard key={step.number} step={step} view={view} bringUp={bringUp} may={may} />
}

function BeforeStart({ view, bringUp, may }: NowProps) {
  const cameras = view.steps.filter((s) => s.kind === 'plug').length
  return (
    <Paper sx={{ p: 3 }}>
      {cameras === 0 ? (
        <p style={{ margin: 0 }}>Every camera with a planned address is set: there is nothing to bring up.</p>
      ) : (
        <>
          <Box component="h2" sx={{ typography: 'h2', mt: 0 }}>
            {cameras} new cameras, one after the other
          </Box>
          <p>
            They share a factory address, so two of them together would fight. Method: the laptop hops to
            their factory network once, each camera is moved on its own, then the laptop hops home and asks
            each at its new address.
          </p>
          <p>
            {view.steps.length} steps, about <b>{duration(view.secondsLeft)}</b> by the usual durations.
          </p>
          {view.blockedBy.length > 0 && (
            <Trouble>
              <b>Clear these on the Addresses page first, or they would be typed into the cameras:</b>
              <ul style={{ margin: '4px 0' }}>
                {view.blockedBy.map((b) => (
                  <li key={b}>{b}</li>
                ))}
              </ul>
            </Trouble>
          )}
          <Button
            variant="contained"
            size="large"
            onClick={() => bringUp.start.mutate()}
            disabled={view.blockedBy.length > 0 || bringUp.start.isPending || !may}
          >
            Start the bring-up
          </Button>
        </>
      )}
      {bringUp.start.error && <Trouble>{sentence(bringUp.start.error)}</Trouble>}
    </Paper>
  )
}

interface StepProps extends NowProps {
  readonly step: Step
}

function StepCard({ step, view, bringUp, may }: StepProps) {
  const words = stepWords(step)
  const { check, act } = bringUp
  const fresh = useFresh()
  const outcome = check.data && !check.data.done && check.variables === step.number ? check.data : undefined
  const error = check.error ?? act.error
  return (
    <Paper sx={{ p: 2.5 }} data-step={step.kind} aria-live="polite">
      <Box sx={{ color: 'text.secondary', display: 'flex', justifyContent: 'space-between' }}>
        <span>
          Step {step.number} of {view.steps.length}
        </span>
        <span>{duration(view.secondsLeft)} left by plan</span>
      </Box>
      <Box component="h2" sx={{ fontSize: '1.5rem', mt: 0.5, mb: 1 }}>
        {words.title}
      </Box>
      <Box sx={{ fontSize: '1.1rem', mb: 1 }}>{words.todo}</Box>
      <Values step={step} />
      <Countdown left={view.waitSeconds} total={view.waitTotal} speed={view.speed} />
      <Box sx={{ my: 1 }}>
        <b>You should then see:</b> {words.expect}
      </Box>
      {outcome && (
        <Trouble>
          <b>Not done: {outcome.saw}.</b> {outcome.next}
        </Trouble>
      )}
      {error && <Trouble>{sentence(error)}</Trouble>}
      <Box sx={{ display: 'flex', gap: 1.5, mt: 1.5, flexWrap: 'wrap' }}>
        {words.hands && (
          <Button
            variant="outlined"
            size="large"
            onClick={() => act.mutate(step.number)}
            disabled={act.isPending || !may}
          >
            In the rig: {words.hands}
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
      </Box>
    </Paper>
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

function Values({ step }: { readonly step: Step }) {
  if (step.kind === 'set') {
    return (
      <>
        <CopyValue label="Address" value={step.planned} />
        <CopyValue label="Mask" value={step.mask} />
        <CopyValue label="Gateway" value={step.gateway} />
      </>
    )
  }
  if (step.kind === 'hop-out' || step.kind === 'hop-home')
    return <CopyValue label="Laptop" value={step.laptop} />
  if (step.kind === 'see') return <CopyValue label="Address" value={step.factory} />
  return step.kind === 'verify' ? <CopyValue label="Address" value={step.planned} /> : null
}
