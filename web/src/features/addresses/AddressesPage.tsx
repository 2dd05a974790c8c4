import Button from '@mui/material/Button'
import Tab from '@mui/material/Tab'
import Tabs from '@mui/material/Tabs'
import { useMutation } from '@tanstack/react-query'
import { useState } from 'react'
import { about } from '../../shared/api/about'
import { editing } from '../../shared/api/changes'
import { get, sentence } from '../../shared/api/client'
import type { AddressPlan, Job } from '../../shared/api/types'
import { useWorld } from '../../shared/api/useWorld'
import { FixDialog } from '../../shared/ui/FixDialog'
import { Page } from '../../shared/ui/Page'
import { Trouble } from '../../shared/ui/Trouble'
import { useTab } from '../../shared/ui/useTab'
import { AsFound } from './AsFound'
import { Files } from './Files'
import { Plan } from './Plan'
import { Secrets } from './Secrets'
import { WhatIfs } from './WhatIfs'

const TABS = ['plan', 'as-found', 'what-if', 'secrets', 'files'] as const

const words = {
  plan: 'Plan',
  'as-found': 'As found',
  'what-if': 'What if',
  secrets: 'Secrets',
  files: 'Files',
} as const

/** The address plan: the ruler and the sheet, what it could be instead, secrets, and files. */
export function AddressesPage({ job }: { readonly job: Job }) {
  const [tab, setTab] = useTab(TABS)
  const [plan, setPlan] = useState<AddressPlan>()
  const world = useWorld(job.id)
  const replan = useMutation({
    mutationFn: () => get<AddressPlan>(`/api/jobs/${job.id}/address-plan`),
    onSuccess: setPlan,
  })
  const actions = (
    <>
      <Button variant="outlined" onClick={() => replan.mutate()}>
        Re-plan …
      </Button>
      <Button variant="outlined" href={`/api/jobs/${job.id}/addresses.csv`} download>
        Sheet as CSV
      </Button>
    </>
  )
  return (
    <Page
      title="Addresses"
      job={job}
      findings={about(job.findings, tab === 'as-found' ? ['evidence'] : ['addresses', 'secrets'])}
      ofWorld={world.data?.findings ?? []}
      folded={tab === 'as-found'}
      actions={actions}
      keys={[
        ['Enter on an address', 'change it'],
        ['Arrows on a device of the ruler', 'move it; Enter asks what that does'],
      ]}
    >
      <Tabs
        value={tab}
        onChange={(_, next: (typeof TABS)[number]) => setTab(next)}
        sx={{ minHeight: 40, mb: 1 }}
      >
        {TABS.map((t) => (
          <Tab key={t} value={t} label={words[t]} sx={{ textTransform: 'none' }} />
        ))}
      </Tabs>
      {replan.error && <Trouble>{sentence(replan.error)}</Trouble>}
      {plan?.moves.length === 0 && plan.unplaced.length === 0 && (
        <p role="status">The plan stands: nobody needs to move.</p>
      )}
      {plan && plan.unplaced.length > 0 && (
        <Trouble>
          No address is left for {plan.unplaced.join(', ')}. Free some, or take a wider subnet under “What
          if”.
        </Trouble>
      )}
      {tab === 'plan' && <Plan job={job} />}
      {tab === 'as-found' && <AsFound job={job} />}
      {tab === 'what-if' && <WhatIfs job={job} />}
      {tab === 'secrets' && <Secrets job={job} />}
      {tab === 'files' && <Files job={job} />}
      {plan && plan.moves.length > 0 && (
        <FixDialog
          job={job}
          title={`Re-plan: ${plan.moves.map((m) => `${m.device}, ${m.why}`).join('; ')}`}
          changes={editing(...plan.moves.map((m) => m.edit))}
          onClose={() => setPlan(undefined)}
        />
      )}
    </Page>
  )
}
