import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import { useState } from 'react'
import { post, sentence } from '../../shared/api/client'
import { useJobRequest } from '../../shared/api/job'
import type { Job, JobPatch, PresetRow } from '../../shared/api/types'
import { Trouble } from '../../shared/ui/Trouble'
import { PresetNumber } from './PresetNumber'
import { called, nextFree } from './presets'

interface Props {
  readonly job: Job
  readonly row: PresetRow
  readonly onClose: () => void
}

/** Under which number and name the camera is to keep how it looks now. */
export function PresetStoring({ job, row, onClose }: Props) {
  const [number, setNumber] = useState(nextFree(row) ?? 0)
  const there = row.presets.find((p) => p.number === number)
  const [name, setName] = useState<string>()
  const [note, setNote] = useState<string>()
  const store = useJobRequest<void>(() =>
    post<JobPatch>(`/api/jobs/${job.id}/presets/${row.device}/${number}`, {
      name: name ?? there?.name ?? '',
      note: note ?? there?.note ?? '',
    }),
  )
  return (
    <Box
      component="form"
      aria-label="Store a preset"
      onSubmit={(e) => {
        e.preventDefault()
        store.mutate(undefined, { onSuccess: onClose })
      }}
      sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 1, alignItems: 'center' }}
    >
      <PresetNumber row={row} number={number} onNumber={setNumber} />
      <TextField
        size="small"
        label="Name"
        autoFocus
        value={name ?? there?.name ?? ''}
        onChange={(e) => setName(e.target.value)}
        slotProps={{ htmlInput: { maxLength: 40 } }}
        sx={{ width: 170 }}
      />
      <TextField
        size="small"
        label="Note"
        value={note ?? there?.note ?? ''}
        onChange={(e) => setNote(e.target.value)}
        slotProps={{ htmlInput: { maxLength: 120 } }}
        sx={{ width: 220 }}
      />
      <Button type="submit" variant="contained" disabled={store.isPending}>
        {store.isPending ? 'Storing …' : there ? `Store over ${called(row, there.number)}` : 'Store'}
      </Button>
      <Button onClick={onClose}>Leave it</Button>
      {store.error && <Trouble>{sentence(store.error)}</Trouble>}
    </Box>
  )
}
