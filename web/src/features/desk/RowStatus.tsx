import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import { useState } from 'react'
import { rights } from '../../shared/api/changes'
import { sentence } from '../../shared/api/client'
import type { Job, RowRun } from '../../shared/api/types'
import { RunProgress } from '../../shared/ui/RunProgress'
import { Trouble } from '../../shared/ui/Trouble'
import { useRowRun } from './useRowRun'

/** Beside the sentence that says it. */
const MARKS: Readonly<Record<string, string>> = { stands: '●', written: '●', differs: '◪', failed: '▲' }

/** A program goes from view to view: what it does, what came of each, and how to end it. */
export function RowStatus({ job }: { readonly job: Job }) {
  const { view, cancel } = useRowRun(job.id)
  // One that was over before this page was opened is not news.
  const [watched, setWatched] = useState(false)
  if (view?.state === 'running' && !watched) setWatched(true)
  if (!view || !watched) return null
  const camera = job.devices.find((d) => d.id === view.device)?.name ?? 'the camera'
  return (
    <Paper sx={{ p: 2, mb: 1.5 }} aria-live="polite" data-row-run={view.state}>
      {view.state === 'running' ? (
        <RunProgress
          doing={view.doing}
          done={view.done}
          count={view.count}
          of="views"
          cancelWords="Cancel after this view"
          onCancel={rights(job).drive && !cancel.isPending ? () => cancel.mutate() : undefined}
        />
      ) : (
        <Box sx={{ display: 'flex', gap: 2 }}>
          <Box sx={{ flex: 1 }}>
            <b>{endWords(view, camera)}</b>
            {view.state === 'stopped' &&
              ' What was not put back is listed on Prove, with a button that puts it back.'}
          </Box>
          <Button size="small" onClick={() => setWatched(false)}>
            Close
          </Button>
        </Box>
      )}
      {cancel.error && <Trouble>{sentence(cancel.error)}</Trouble>}
      <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0, mt: 1, maxHeight: 180, overflow: 'auto' }}>
        {view.results.map((r) => (
          <li key={r.number} data-outcome={r.outcome}>
            <span className="mono">{r.called || r.number}</span> {r.name} – {MARKS[r.outcome]} {r.words}
          </li>
        ))}
      </Box>
    </Paper>
  )
}

function endWords(view: RowRun, camera: string): string {
  const what = view.what === 'write' ? 'written back' : 'checked'
  if (view.state === 'done') return `The row of ${camera} was ${what}: ${view.results.length} views.`
  if (view.state === 'cancelled')
    return `Cancelled after ${view.results.length} of ${view.count} views of ${camera}.`
  return `Stopped after ${view.results.length} of ${view.count} views of ${camera}: ${view.why || 'its server fell silent'}.`
}
