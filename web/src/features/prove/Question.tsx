import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import { useState } from 'react'
import { sentence } from '../../shared/api/client'
import { Trouble } from '../../shared/ui/Trouble'
import type { Row } from './matrix'
import type { useProve } from './useProve'
import { outcomes, tests } from './words'

interface Props {
  readonly row: Row
  readonly test: string
  readonly see: ReturnType<typeof useProve>['see']
}

/** One plain question to a person, with a photo where that says more. */
export function Question({ row, test, see }: Props) {
  const [note, setNote] = useState('')
  const [photo, setPhoto] = useState<File>()
  const answer = (outcome: string) =>
    see.mutate(
      { device: row.line.cameraId, what: test, outcome, note, photo },
      {
        onSuccess: () => {
          setNote('')
          setPhoto(undefined)
        },
      },
    )
  return (
    <Box sx={{ border: '1px solid', borderColor: 'divider', borderRadius: 1, p: 2, my: 1.5 }}>
      <Box sx={{ fontSize: '1.25rem', mb: 1 }}>{tests.find((t) => t.test === test)?.question}</Box>
      <TextField
        label="What you saw, if it needs words"
        value={note}
        onChange={(e) => setNote(e.target.value)}
        fullWidth
        slotProps={{ htmlInput: { maxLength: 300 } }}
      />
      <Box sx={{ my: 1 }}>
        <label>
          Photo: <input type="file" accept="image/*" onChange={(e) => setPhoto(e.target.files?.[0])} />
        </label>
      </Box>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        {outcomes.map((o) => (
          <Button
            key={o.outcome}
            variant={o.outcome === 'ok' ? 'contained' : 'outlined'}
            onClick={() => answer(o.outcome)}
            disabled={see.isPending}
          >
            {o.says}
          </Button>
        ))}
      </Box>
      {see.error && <Trouble>{sentence(see.error)}</Trouble>}
    </Box>
  )
}
