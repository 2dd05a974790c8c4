import NativeSelect from '@mui/material/NativeSelect'
import Box from '@mui/material/Box'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { memo } from 'react'
import { rights } from '../../shared/api/changes'
import { get, put, sentence } from '../../shared/api/client'
import { showAnswer } from '../../shared/api/showAnswer'
import type { DeskCamera, Job, TallyView } from '../../shared/api/types'
import { Trouble } from '../../shared/ui/Trouble'
import { tallyWords } from './tallyWords'

interface Props {
  readonly job: Job
  readonly cameras: readonly DeskCamera[]
}

/** Where it is known from what is on air: by hand, or from a switcher that says what is on programme. */
export const Tally = memo(function Tally({ job, cameras }: Props) {
  const queries = useQueryClient()
  const path = `/api/jobs/${job.id}/tally`
  const key = ['job', job.id, 'tally', job.version]
  const tally = useQuery({ queryKey: key, queryFn: () => get<TallyView>(path) })
  const set = useMutation({
    mutationFn: (switcher: number | null) => put<TallyView>(path, { switcher }),
    onSuccess: (view) => showAnswer(queries, key, view),
  })
  const view = tally.data
  if (!view || (view.possible.length === 0 && view.switcher === null)) return null
  const source = view.possible.find((s) => s.id === view.switcher)
  const words = view.switcher === null ? '' : tallyWords(source?.name ?? 'The switcher', cameras)
  return (
    <Box component="section" aria-label="On air" sx={{ mt: 1.5, maxWidth: 344 }}>
      <label>
        On air is{' '}
        <NativeSelect
          sx={{ maxWidth: 260 }}
          value={view.switcher ?? ''}
          disabled={!rights(job).drive || set.isPending}
          onChange={(e) => {
            // Space must stop, not open this again.
            e.currentTarget.blur()
            set.mutate(e.target.value === '' ? null : Number(e.target.value))
          }}
        >
          <option value="">said by hand</option>
          {view.possible.map((s) => (
            <option key={s.id} value={s.id}>
              read from {s.name}
            </option>
          ))}
        </NativeSelect>
      </label>
      <Box role="status">{words}</Box>
      {set.error && <Trouble>{sentence(set.error)}</Trouble>}
    </Box>
  )
})
