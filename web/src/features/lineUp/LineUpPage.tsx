import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Tab from '@mui/material/Tab'
import Tabs from '@mui/material/Tabs'
import { useMutation } from '@tanstack/react-query'
import { useState } from 'react'
import { rights } from '../../shared/api/changes'
import { get, sentence } from '../../shared/api/client'
import type { Changes, Job } from '../../shared/api/types'
import { FixDialog } from '../../shared/ui/FixDialog'
import { Page } from '../../shared/ui/Page'
import { MarkLegend } from '../../shared/ui/StateMark'
import { Trouble } from '../../shared/ui/Trouble'
import { ControlMatrix } from './ControlMatrix'
import { ThreadTable } from './ThreadTable'

/** A job's first page: one row a line, its whole thread; and who controls what. */
export function LineUpPage({ job }: { readonly job: Job }) {
  const [tab, setTab] = useState<'threads' | 'control'>('threads')
  const [missing, setMissing] = useState<Changes>()
  const look = useMutation({
    mutationFn: () => get<Changes>(`/api/jobs/${job.id}/lines/missing`),
    onSuccess: setMissing,
  })
  const actions = rights(job).plan && job.lines.length > 0 && (
    <Button variant="outlined" onClick={() => look.mutate()} disabled={look.isPending}>
      Fill in what is missing …
    </Button>
  )
  return (
    <Page
      title="Line-up"
      job={job}
      findings={job.findings}
      folded
      actions={actions}
      keys={[
        ['Arrow up, down on ⋮⋮', 'takes a line up or down'],
        ['Enter on a value', 'changes it'],
      ]}
    >
      {look.error && <Trouble>{sentence(look.error)}</Trouble>}
      {missing?.edits.length === 0 && <p role="status">Nothing is missing that the kit could give.</p>}
      {job.lines.length === 0 ? (
        <p>
          No lines yet: a line is one camera with everything that belongs to it. Add cameras on the Kit page
          and their lines are made.
        </p>
      ) : (
        <>
          <Tabs
            value={tab}
            onChange={(_, next: 'threads' | 'control') => setTab(next)}
            sx={{ minHeight: 40, mb: 1 }}
          >
            <Tab value="threads" label="Threads" sx={{ textTransform: 'none' }} />
            <Tab value="control" label="Control routes" sx={{ textTransform: 'none' }} />
          </Tabs>
          {tab === 'threads' ? <ThreadTable job={job} /> : <ControlMatrix job={job} />}
        </>
      )}
      <Box sx={{ mt: 1 }}>
        <MarkLegend marks={['planned', 'stopped', 'set', 'proved', 'stale', 'differs']} />
      </Box>
      {missing && missing.edits.length > 0 && (
        <FixDialog
          job={job}
          title="Fit, key and patch what the kit can give"
          changes={missing}
          onClose={() => setMissing(undefined)}
        />
      )}
    </Page>
  )
}
