import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import Tab from '@mui/material/Tab'
import Tabs from '@mui/material/Tabs'
import { Link as RouterLink, useSearchParams } from 'react-router'
import { about } from '../../shared/api/about'
import { rights } from '../../shared/api/changes'
import { sentence } from '../../shared/api/client'
import type { BringUp, Job } from '../../shared/api/types'
import { useWorld } from '../../shared/api/useWorld'
import { Page } from '../../shared/ui/Page'
import { Trouble } from '../../shared/ui/Trouble'
import { useTab } from '../../shared/ui/useTab'
import { CardColumn } from './CardColumn'
import { LaptopCard } from './LaptopCard'
import { MethodChoice } from './MethodChoice'
import { RigHall } from './RigHall'
import { RunSheetList } from './RunSheetList'
import { StepCard } from './StepCard'
import { cardsOf } from './cards'
import { useBringUp } from './useBringUp'
import { useCall } from './useCall'
import { methodWords } from './words'

const TABS = ['cards', 'sheet'] as const

/** Bringing new devices to their addresses: one card at arm's length. */
export function BringUpPage({ job }: { readonly job: Job }) {
  const bringUp = useBringUp(job.id)
  const view = bringUp.view.data
  const may = rights(job).plan
  const [tab, setTab] = useTab(TABS)
  const wanted = Number(useSearchParams()[0].get('device'))
  const findings = about(job.findings, ['addresses', 'secrets'])
  const world = useWorld(job.id)
  return (
    <Page
      title="Bring-up"
      job={job}
      findings={findings}
      ofWorld={world.data?.findings ?? []}
      actions={<Actions job={job} bringUp={bringUp} />}
    >
      {bringUp.view.error && <Trouble>{sentence(bringUp.view.error)}</Trouble>}
      {view && !view.started && <MethodChoice job={job} may={may} start={bringUp.start} />}
      {view?.started && (
        <Box
          sx={{
            display: 'grid',
            gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '220px minmax(0, 1fr)' },
            gap: 2,
          }}
        >
          <div>
            <Tabs
              value={tab}
              onChange={(_, next: (typeof TABS)[number]) => setTab(next)}
              sx={{ minHeight: 36, mb: 0.5 }}
            >
              <Tab value="cards" label="Cards" sx={{ textTransform: 'none', minHeight: 36 }} />
              <Tab value="sheet" label="Run sheet" sx={{ textTransform: 'none', minHeight: 36 }} />
            </Tabs>
            {tab === 'cards' ? (
              <CardColumn cards={cardsOf(view)} speed={view.speed} wanted={wanted} />
            ) : (
              <RunSheetList view={view} />
            )}
          </div>
          <div>
            <Now job={job} view={view} bringUp={bringUp} may={may} />
            {!view.finished && <LaptopCard laptop={view.laptop} more={adding(view)} />}
            <RigHall job={job.id} />
          </div>
        </Box>
      )}
    </Page>
  )
}

/** The step under way gives the laptop one more address. */
function adding(view: BringUp): boolean {
  return view.steps.find((s) => s.number === view.current)?.kind === 'alias'
}

function Actions({ job, bringUp }: { readonly job: Job; readonly bringUp: ReturnType<typeof useBringUp> }) {
  const view = bringUp.view.data
  // Before the start the paper belongs to the method that is chosen, and stands beside it.
  if (!view?.started) return null
  const sheet = (
    <Button variant="outlined" href={`/api/jobs/${job.id}/bring-up/sheet.pdf`} download>
      Run sheet on paper
    </Button>
  )
  if (!rights(job).plan) return sheet
  return (
    <>
      <Button variant="outlined" onClick={() => bringUp.replan.mutate()} disabled={bringUp.replan.isPending}>
        Plan the rest anew
      </Button>
      <Button
        variant="outlined"
        onClick={() => {
          if (
            window.confirm(
              'Choose again how, and start anew for the devices that are not set? What is set stays set.',
            )
          )
            bringUp.end.mutate()
        }}
      >
        Start anew …
      </Button>
      {sheet}
      {bringUp.replan.error && <Trouble>{sentence(bringUp.replan.error)}</Trouble>}
    </>
  )
}

interface NowProps {
  readonly job: Job
  readonly view: BringUp
  readonly may: boolean
  readonly bringUp: ReturnType<typeof useBringUp>
}

function Now({ job, view, bringUp, may }: NowProps) {
  const step = view.steps.find((s) => s.number === view.current)
  const call = useCall(view.waitSeconds > 0, view.now.title)
  return (
    <>
      <Box sx={{ color: 'text.secondary', mb: 0.5, display: 'flex', flexWrap: 'wrap', columnGap: 2 }}>
        {/* On a phone the card itself wants the room; the sheet says the method too. */}
        <Box component="span" sx={{ flex: 1, display: { xs: view.aside ? 'inline' : 'none', sm: 'inline' } }}>
          {methodWords[view.method]}, {view.workshop ? 'in the workshop' : 'on site'}
          {view.aside && `. Put aside: ${view.aside}`}
        </Box>
        <label>
          <input type="checkbox" checked={call.on} onChange={(e) => call.turn(e.target.checked)} /> call me
          when a wait is over
        </label>
      </Box>
      {step ? (
        <StepCard key={step.number} job={job} step={step} view={view} bringUp={bringUp} may={may} />
      ) : (
        <Paper sx={{ p: 3 }}>
          <Box component="h2" sx={{ typography: 'h2', mt: 0 }}>
            All {view.steps.filter((s) => s.kind === 'verify' && s.done).length} devices are at their planned
            addresses
          </Box>
          {view.aside
            ? `Put aside, and still to do: ${view.aside}. Plan the rest anew when you know more about it.`
            : 'What can be asked was asked for its version and its position.'}
          <Box sx={{ mt: 2, display: 'flex', gap: 1.5, flexWrap: 'wrap' }}>
            <Button
              component={RouterLink}
              to={`/jobs/${String(job.id)}/addresses?tab=as-found`}
              variant="contained"
              size="large"
            >
              Ask what each tells
            </Button>
            <Button
              component={RouterLink}
              to={`/jobs/${String(job.id)}/desk`}
              variant="outlined"
              size="large"
            >
              Drive them
            </Button>
          </Box>
        </Paper>
      )}
    </>
  )
}
