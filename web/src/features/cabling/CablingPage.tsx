import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Tab from '@mui/material/Tab'
import Tabs from '@mui/material/Tabs'
import { useMutation } from '@tanstack/react-query'
import { useState } from 'react'
import { useSearchParams } from 'react-router'
import { about } from '../../shared/api/about'
import { rights } from '../../shared/api/changes'
import { get, sentence } from '../../shared/api/client'
import type { Changes, Job } from '../../shared/api/types'
import { FixDialog } from '../../shared/ui/FixDialog'
import { Page } from '../../shared/ui/Page'
import { Trouble } from '../../shared/ui/Trouble'
import { AddRun } from './AddRun'
import { CablingDrawing } from './CablingDrawing'
import { LeadTables } from './LeadTables'
import { MaterialsList } from './MaterialsList'
import { RunDrawer } from './RunDrawer'
import { RunTable } from './RunTable'
import { SeenWiring } from './SeenWiring'
import { useCabling } from './useCabling'

/** Beside what the network switches tell: what was found, beside the plan. */
const SEEN = ['evidence']

const HERE = ['power', 'serial', 'video', 'audio', 'usb', 'network', 'cabling'] as const

const TABS = ['drawing', 'runs', 'materials', 'leads', 'seen'] as const

type Tabbed = (typeof TABS)[number]

/** What is joined to what, over which cable, and whether it works: drawn, listed, and to be bought. */
export function CablingPage({ job }: { readonly job: Job }) {
  const { tab, setTab, run, setRun } = usePlace()
  const [adding, setAdding] = useState(false)
  const [proposed, setProposed] = useState<{ version: number; changes: Changes }>()
  const cabling = useCabling(job)
  const look = useMutation({
    mutationFn: () => get<Changes>(`/api/jobs/${job.id}/cabling/missing`),
    onSuccess: (changes) => setProposed({ version: job.version, changes }),
  })
  // What was proposed for the job as it was says nothing about the job as it is.
  const missing = proposed?.version === job.version ? proposed.changes : undefined
  return (
    <Page
      title="Cabling"
      job={job}
      findings={about(job.findings, tab === 'seen' ? SEEN : HERE)}
      fills
      folded
      keys={[
        ['Arrow up, down', 'goes from run to run in the drawing'],
        ['Enter', 'opens the run with its sums'],
      ]}
      actions={
        <Actions
          job={job}
          busy={look.isPending}
          onConnect={() => look.mutate()}
          onAdd={() => setAdding(true)}
        />
      }
    >
      {(cabling.error ?? look.error) && <Trouble>{sentence(cabling.error ?? look.error)}</Trouble>}
      {missing?.adds.length === 0 && (
        <p role="status">Everything that fits is joined already. What is left needs a run by hand.</p>
      )}
      <Tabs value={tab} onChange={(_, next: Tabbed) => setTab(next)} sx={{ minHeight: 40, mb: 1 }}>
        <Tab value="drawing" label="Drawing" sx={{ textTransform: 'none' }} />
        <Tab value="runs" label={`Runs: ${job.runs.length}`} sx={{ textTransform: 'none' }} />
        <Tab value="materials" label="Materials" sx={{ textTransform: 'none' }} />
        <Tab value="leads" label="Pin tables" sx={{ textTransform: 'none' }} />
        <Tab value="seen" label="Seen at the switches" sx={{ textTransform: 'none' }} />
      </Tabs>
      {job.runs.length === 0 && tab !== 'leads' && tab !== 'seen' && <NoRuns devices={job.devices.length} />}
      {cabling.data && job.runs.length > 0 && tab === 'drawing' && (
        <CablingDrawing drawing={cabling.data.drawing} selected={run} onSelect={setRun} />
      )}
      {cabling.data && job.runs.length > 0 && tab === 'runs' && (
        <RunTable job={job} runs={cabling.data.runs} onOpen={setRun} />
      )}
      {job.runs.length > 0 && tab === 'materials' && <MaterialsList job={job} />}
      {tab === 'leads' && <LeadTables />}
      {tab === 'seen' && <SeenWiring job={job} />}
      {run !== undefined && <RunDrawer job={job} run={run} onClose={() => setRun(undefined)} />}
      {adding && <AddRun job={job} onClose={() => setAdding(false)} />}
      {missing && missing.adds.length > 0 && (
        <FixDialog
          job={job}
          title="Join what can be joined, at the usual length"
          changes={missing}
          onClose={() => setProposed(undefined)}
        />
      )}
    </Page>
  )
}

/** Which tab and which run, kept in the page's address: a reload or a sent link shows the same. */
function usePlace() {
  const [search, setSearch] = useSearchParams()
  const set = (key: string, value: string | undefined) =>
    setSearch(
      (now) => {
        if (value === undefined) now.delete(key)
        else now.set(key, value)
        return now
      },
      { replace: true },
    )
  const run = Number(search.get('run'))
  return {
    tab: TABS.find((t) => t === search.get('tab')) ?? 'drawing',
    setTab: (tab: Tabbed) => set('tab', tab),
    run: run > 0 ? run : undefined,
    setRun: (next: number | undefined) => set('run', next?.toString()),
  }
}

interface ActionsProps {
  readonly job: Job
  readonly busy: boolean
  readonly onConnect: () => void
  readonly onAdd: () => void
}

function Actions({ job, busy, onConnect, onAdd }: ActionsProps) {
  const file = (name: string) => `/api/jobs/${job.id}/cabling/${name}`
  return (
    <>
      {rights(job).plan && (
        <>
          <Button variant="outlined" onClick={onConnect} disabled={busy}>
            Connect all …
          </Button>
          <Button variant="outlined" onClick={onAdd}>
            Add a run …
          </Button>
        </>
      )}
      <Button component="a" href={file('drawing.svg')} download>
        SVG
      </Button>
      <Button component="a" href={file('drawing.pdf')} download>
        PDF
      </Button>
    </>
  )
}

function NoRuns({ devices }: { readonly devices: number }) {
  return (
    <Box component="p" sx={{ maxWidth: 560 }}>
      {devices === 0
        ? 'No devices yet. Put what is on the van on the Kit page, then come back and press "Connect all".'
        : 'No runs yet. "Connect all" proposes a run for everything that fits only one way, at the usual length; then correct lengths and cables as they are measured.'}
    </Box>
  )
}
