import Box from '@mui/material/Box'
import Checkbox from '@mui/material/Checkbox'
import FormControlLabel from '@mui/material/FormControlLabel'
import Paper from '@mui/material/Paper'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { rights } from '../../shared/api/changes'
import { post, sentence } from '../../shared/api/client'
import { showChange } from '../../shared/api/job'
import type { Job, JobPatch, PrepTask } from '../../shared/api/types'
import { Trouble } from '../../shared/ui/Trouble'
import { usePreparation } from './usePreparation'

const reasons: Readonly<Record<string, string>> = {
  fetch: 'To fetch while there is internet',
  pack: 'To pack, charge and load',
  reset: 'To reset, since somebody had it before',
}

/** What to fetch, pack and reset before the van leaves, worked out from the kit; ticked off here. */
export function BeforeTheVan({ job }: { readonly job: Job }) {
  const [onlyOpen, setOnlyOpen] = useState(false)
  const queries = useQueryClient()
  const list = usePreparation(job)
  const tick = useMutation({
    mutationFn: (t: PrepTask) =>
      post<JobPatch>(`/api/jobs/${job.id}/preparation`, {
        device: t.device,
        profile: t.profile,
        what: t.what,
        done: t.doneBy === '',
      }),
    onSuccess: (view) => showChange(queries, view),
  })
  const tasks = list.data ?? []
  const open = tasks.filter((t) => t.doneBy === '')
  const shown = onlyOpen ? open : tasks
  return (
    <Paper sx={{ p: 2, overflow: 'auto', flex: 1 }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 2 }}>
        <Box sx={{ flex: 1 }} role="status">
          <b>{open.length}</b> of {tasks.length} still to do. Worked out from the kit and its profiles.
        </Box>
        <FormControlLabel
          control={<Checkbox checked={onlyOpen} onChange={(e) => setOnlyOpen(e.target.checked)} />}
          label="Only what is open"
        />
      </Box>
      {list.error && <Trouble>{sentence(list.error)}</Trouble>}
      {tick.error && <Trouble>{sentence(tick.error)}</Trouble>}
      {list.data?.length === 0 && <p>Nothing on the van needs anything. Add the kit first.</p>}
      {Object.entries(reasons).map(([reason, words]) => {
        const here = shown.filter((t) => t.reason === reason)
        return here.length === 0 ? null : (
          <Box component="section" key={reason} aria-label={words}>
            <Box component="h2" sx={{ typography: 'h2', mt: 1.5, mb: 0.5 }}>
              {words}
            </Box>
            {here.map((t) => (
              <TaskRow
                key={`${t.device}.${t.profile}.${t.what}`}
                task={t}
                may={rights(job).plan}
                onTick={() => tick.mutate(t)}
              />
            ))}
          </Box>
        )
      })}
    </Paper>
  )
}

interface RowProps {
  readonly task: PrepTask
  readonly may: boolean
  readonly onTick: () => void
}

function TaskRow({ task, may, onTick }: RowProps) {
  const whom = task.device ? task.names.join('') : several(task)
  return (
    <Box
      data-task={task.what}
      sx={{ display: 'flex', gap: 1, alignItems: 'start', borderTop: '1px solid', borderColor: 'divider' }}
    >
      <Checkbox
        checked={task.doneBy !== ''}
        disabled={!may}
        onChange={onTick}
        slotProps={{ input: { 'aria-label': `${task.what}, ${whom}` } }}
      />
      <Box sx={{ py: 1, flex: 1 }}>
        <Box>{task.what}</Box>
        <Box sx={{ color: 'text.secondary', fontSize: '0.9rem' }}>
          {task.kind.replace('-', ' ')} for {whom}
          {task.how && `: ${task.how}`}
        </Box>
      </Box>
      {task.doneBy && <Box sx={{ color: 'text.secondary', py: 1 }}>ticked by {task.doneBy}</Box>}
    </Box>
  )
}

function several(task: PrepTask): string {
  const some = task.names.join(', ')
  const more = task.devices > task.names.length ? ` and ${task.devices - task.names.length} more` : ''
  return `${task.profileName} (${some}${more})`
}
