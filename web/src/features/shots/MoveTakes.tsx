import NativeSelect from '@mui/material/NativeSelect'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import { useState } from 'react'
import { editing } from '../../shared/api/changes'
import { sentence } from '../../shared/api/client'
import { useChange } from '../../shared/api/job'
import type { Job, ShotList } from '../../shared/api/types'
import { Trouble } from '../../shared/ui/Trouble'
import { tenthsOf } from './clock'
import { movedWords, movingEdits } from './moving'

interface Props {
  readonly job: Job
  readonly list: ShotList
}

/** A part of the list begins later or earlier, in one step that can be undone. */
export function MoveTakes({ job, list }: Props) {
  const [wanted, setWanted] = useState(1)
  const [typed, setTyped] = useState('2')
  const [why, setWhy] = useState('')
  const change = useChange(job.id)
  const from = Math.min(wanted, list.takes.length)
  const by = tenthsOf(typed)
  const move = (tenths: number) => {
    const next = movingEdits(list.takes, from, tenths)
    setWhy(next.why)
    if (next.edits.length > 0) change.mutate(editing(...next.edits))
  }
  const none = by === undefined || by === 0
  return (
    <Box
      component="section"
      aria-label="Move takes"
      sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1.25, mt: 1 }}
    >
      <span>From take</span>
      <NativeSelect
        inputProps={{ 'aria-label': 'From take' }}
        value={from}
        onChange={(e) => setWanted(Number(e.target.value))}
      >
        {list.takes.map((t) => (
          <option key={t.id} value={t.number}>
            {t.number}
          </option>
        ))}
      </NativeSelect>
      <span>on, by</span>
      <TextField
        size="small"
        value={typed}
        error={none}
        onChange={(e) => setTyped(e.target.value)}
        slotProps={{ htmlInput: { 'aria-label': 'By how long', maxLength: 9 } }}
        sx={{ width: 76 }}
      />
      <span>s</span>
      <Button variant="outlined" disabled={none || change.isPending} onClick={() => move(by ?? 0)}>
        {movedWords(list, from)} later
      </Button>
      <Button variant="outlined" disabled={none || change.isPending} onClick={() => move(-(by ?? 0))}>
        earlier
      </Button>
      {why && <Trouble>{why}</Trouble>}
      {change.error && <Trouble>{sentence(change.error)}</Trouble>}
    </Box>
  )
}
