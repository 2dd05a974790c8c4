import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { post, sentence } from '../../shared/api/client'
import { showChange } from '../../shared/api/job'
import type { Job, JobPatch, SheetView } from '../../shared/api/types'
import { Trouble } from '../../shared/ui/Trouble'
import { SheetPreview } from './SheetPreview'

const columnNames: Readonly<Record<string, string>> = {
  nothing: 'passed over',
  name: 'name',
  profile: 'profile',
  count: 'how many',
  mac: 'MAC',
  'serial-number': 'serial number',
  firmware: 'firmware',
  condition: 'comes',
  address: 'address',
}

interface Props {
  readonly job: Job
  readonly text: string
  readonly onClose: () => void
}

/** A kit list from a spreadsheet or CSV file: columns matched, every row looked at, good ones kept. */
export function PasteSheet({ job, text: pasted, onClose }: Props) {
  const [text, setText] = useState(pasted)
  const queries = useQueryClient()
  const read = useMutation({
    mutationFn: (body: { text: string; columns: readonly string[]; headings: boolean }) =>
      post<SheetView>(`/api/jobs/${job.id}/kit/sheet/preview`, body),
  })
  const { mutate } = read
  useEffect(() => {
    if (pasted.trim() !== '') mutate({ text: pasted, columns: [], headings: false })
  }, [pasted, mutate])
  const seen = read.data
  const take = useMutation({
    mutationFn: () =>
      post<JobPatch>(`/api/jobs/${job.id}/kit/sheet`, {
        text,
        columns: seen?.columns ?? [],
        headings: seen?.headings ?? false,
      }),
    onSuccess: async (view) => {
      onClose()
      await showChange(queries, view)
    },
  })
  const again = (next: string) => {
    setText(next)
    read.reset()
  }
  const match = (index: number, column: string) => {
    const columns = (seen?.columns ?? []).map((c, i) =>
      i === index ? column : c === column && column !== 'nothing' ? 'nothing' : c,
    )
    read.mutate({ text, columns, headings: seen?.headings ?? false })
  }
  const rows = seen ? seen.adds + seen.changes : 0
  return (
    <Dialog open onClose={onClose} maxWidth="md" fullWidth aria-label="Kit from a list">
      <DialogTitle>Kit from a list</DialogTitle>
      <DialogContent sx={{ display: 'flex', flexDirection: 'column', gap: 1.5 }}>
        <TextField
          label="Paste rows from a spreadsheet, or the text of a CSV file"
          multiline
          minRows={3}
          maxRows={6}
          autoFocus={pasted === ''}
          value={text}
          onChange={(e) => again(e.target.value)}
          sx={{ mt: 1 }}
          slotProps={{ htmlInput: { className: 'mono', spellCheck: false } }}
        />
        <Box sx={{ display: 'flex', gap: 1 }}>
          <Button
            variant="outlined"
            disabled={text.trim() === '' || read.isPending}
            onClick={() => read.mutate({ text, columns: [], headings: false })}
          >
            Read it
          </Button>
          <Button component="label">
            From a CSV file …
            <input
              type="file"
              accept=".csv,.tsv,.txt,text/csv"
              hidden
              onChange={(e) => void e.target.files?.[0]?.text().then(again)}
            />
          </Button>
        </Box>
        {read.error && <Trouble>{sentence(read.error)}</Trouble>}
        {seen && (
          <>
            <Box component="section" aria-label="Columns" sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
              {seen.columns.map((column, i) => (
                <TextField
                  key={`${i}.${column}`}
                  select
                  label={seen.names[i] || `column ${i + 1}`}
                  value={column}
                  onChange={(e) => match(i, e.target.value)}
                  sx={{ minWidth: 130 }}
                  helperText={seen.headings ? undefined : 'guessed'}
                >
                  {Object.entries(columnNames).map(([name, words]) => (
                    <MenuItem key={name} value={name}>
                      {words}
                    </MenuItem>
                  ))}
                </TextField>
              ))}
            </Box>
            <SheetPreview seen={seen} />
          </>
        )}
        {take.error && <Trouble>{sentence(take.error)}</Trouble>}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Leave it</Button>
        <Button variant="contained" disabled={rows === 0 || take.isPending} onClick={() => take.mutate()}>
          {seen ? taking(seen) : 'Take over'}
        </Button>
      </DialogActions>
    </Dialog>
  )
}

function taking(seen: SheetView): string {
  const adds = seen.adds > 0 ? [`Add ${seen.adds}`] : []
  const changes = seen.changes > 0 ? [`change ${seen.changes}`] : []
  const said = [...adds, ...changes].join(', ') || 'Nothing to take over'
  return said.charAt(0).toUpperCase() + said.slice(1)
}
