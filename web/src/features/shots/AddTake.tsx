import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import { useRef, useState } from 'react'
import { adding } from '../../shared/api/changes'
import { sentence } from '../../shared/api/client'
import { useChange } from '../../shared/api/job'
import type { Job, ShotList } from '../../shared/api/types'
import { Trouble } from '../../shared/ui/Trouble'
import { clockText, tenthsOf } from './clock'
import type { View } from './views'
import { ViewPick } from './ViewPick'

interface Props {
  readonly job: Job
  readonly list: ShotList
  readonly views: readonly View[]
}

/** The next take: a view, Enter, its length, Enter; it begins where the last one ends. */
export function AddTake({ job, list, views }: Props) {
  const [view, setView] = useState<View | null>(null)
  const [length, setLength] = useState('5')
  const [cue, setCue] = useState('')
  const change = useChange(job.id)
  const viewInput = useRef<HTMLInputElement>(null)
  const lengthInput = useRef<HTMLInputElement>(null)
  const tenths = tenthsOf(length)
  const start = Math.round(list.seconds * 10)
  const add = () => {
    if (!view || !tenths || change.isPending) return
    change.mutate(
      adding('take', {
        list: String(list.id),
        start: String(start),
        length: String(tenths),
        camera: String(view.device),
        preset: view.preset === null ? '' : String(view.preset),
        subject: '',
        cue: cue.trim(),
      }),
      {
        onSuccess: () => {
          setView(null)
          setCue('')
          viewInput.current?.focus()
        },
      },
    )
  }
  return (
    <Box component="section" aria-label="Add a take" sx={{ mt: 1.5 }}>
      <Box
        component="form"
        onSubmit={(e) => {
          e.preventDefault()
          add()
        }}
        sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'flex-start' }}
      >
        <ViewPick
          label="View of the next take"
          views={views}
          value={view}
          inputRef={viewInput}
          onPick={(v) => {
            setView(v)
            lengthInput.current?.focus()
            lengthInput.current?.select()
          }}
        />
        <TextField
          label="Length"
          value={length}
          inputRef={lengthInput}
          error={length !== '' && !tenths}
          helperText={length !== '' && !tenths ? 'seconds, as 8 or 1:05' : ''}
          onChange={(e) => setLength(e.target.value)}
          sx={{ width: 92 }}
          slotProps={{ htmlInput: { className: 'mono', 'aria-label': 'Length of the next take in seconds' } }}
        />
        <TextField
          label="Cue (may be empty)"
          value={cue}
          onChange={(e) => setCue(e.target.value)}
          sx={{ flex: 1, minWidth: 140 }}
          slotProps={{ htmlInput: { maxLength: 80 } }}
        />
        <Button type="submit" variant="outlined" disabled={!view || !tenths || change.isPending}>
          Add at {clockText(list.seconds)}
        </Button>
      </Box>
      {change.error && <Trouble>{sentence(change.error)}</Trouble>}
    </Box>
  )
}
