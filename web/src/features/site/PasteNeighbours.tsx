import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Checkbox from '@mui/material/Checkbox'
import Paper from '@mui/material/Paper'
import TextField from '@mui/material/TextField'
import visuallyHidden from '@mui/utils/visuallyHidden'
import { useMutation } from '@tanstack/react-query'
import { useState } from 'react'
import { rights } from '../../shared/api/changes'
import { post, sentence } from '../../shared/api/client'
import { useChange } from '../../shared/api/job'
import type { Job, NeighboursView, SeenNeighbour } from '../../shared/api/types'
import type { Column } from '../../shared/ui/SheetTable'
import { SheetTable } from '../../shared/ui/SheetTable'
import { Trouble } from '../../shared/ui/Trouble'

const states: Readonly<Record<string, string>> = {
  new: 'new',
  known: 'noted already',
  ours: 'one of ours, by its MAC',
  gateway: 'the gateway',
  laptop: 'this laptop',
  outside: 'not in the house network',
}

/** Who is in the house already, from a pasted list: read, looked at, then taken over. */
export function PasteNeighbours({ job }: { readonly job: Job }) {
  const [text, setText] = useState('')
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set())
  const change = useChange(job.id)
  const read = useMutation({
    mutationFn: () => post<NeighboursView>(`/api/jobs/${job.id}/site/neighbours`, { text }),
    onSuccess: () => setLeft(new Set()),
  })
  if (!rights(job).plan) return null
  const fresh = read.data?.neighbours.filter((n) => n.state === 'new' && !left.has(n.address)) ?? []
  const takeOver = () =>
    change.mutate(
      {
        adds: fresh.map((n, i) => ({
          item: 'range',
          id: -1 - i,
          values: { use: 'taken', first: n.address, last: n.address, holder: n.name || n.mac },
        })),
        edits: [],
        removes: [],
      },
      {
        onSuccess: () => {
          setText('')
          read.reset()
        },
      },
    )
  const toggle = (address: string) => {
    const next = new Set(left)
    if (!next.delete(address)) next.add(address)
    setLeft(next)
  }
  const columns: readonly Column<SeenNeighbour>[] = [
    {
      title: 'Actions',
      head: <Box sx={visuallyHidden}>Actions</Box>,
      cell: (n) =>
        n.state === 'new' && (
          <Checkbox
            size="small"
            checked={!left.has(n.address)}
            onChange={() => toggle(n.address)}
            slotProps={{ input: { 'aria-label': `Take over ${n.address}` } }}
          />
        ),
    },
    { title: 'Address', mono: true, cell: (n) => n.address },
    { title: 'MAC', mono: true, cell: (n) => n.mac },
    { title: 'Name', cell: (n) => n.name },
    { title: 'What it means', cell: (n) => states[n.state] ?? n.state },
  ]
  return (
    <Paper sx={{ p: 2, mb: 2 }}>
      <Box component="h2" sx={{ typography: 'h2', mt: 0, mb: 1 }}>
        What is there already
      </Box>
      <TextField
        fullWidth
        multiline
        minRows={3}
        maxRows={8}
        label="Paste what ip neigh or arp -a prints, or a list of leases"
        value={text}
        onChange={(e) => setText(e.target.value)}
        slotProps={{ htmlInput: { className: 'mono', spellCheck: false } }}
      />
      <Button
        sx={{ mt: 1 }}
        variant="outlined"
        onClick={() => read.mutate()}
        disabled={text.trim() === '' || read.isPending}
      >
        Read it
      </Button>
      {read.error && <Trouble>{sentence(read.error)}</Trouble>}
      {read.data && (
        <>
          {read.data.neighbours.length > 0 && (
            <SheetTable
              label="Pasted neighbours"
              columns={columns}
              rows={read.data.neighbours}
              rowKey={(n) => n.address}
              rowLabel={(n) => n.address}
            />
          )}
          {read.data.refused.length > 0 && (
            <Box sx={{ mt: 1 }}>
              <b>Not taken:</b>
              <ul style={{ margin: '4px 0', paddingLeft: 20 }}>
                {read.data.refused.map((r) => (
                  <li key={r.line}>
                    line {r.line}, <span className="mono">{r.text}</span>: {r.reason}
                  </li>
                ))}
              </ul>
            </Box>
          )}
          {read.data.neighbours.length === 0 && read.data.refused.length === 0 && (
            <p role="status">No address was found in it. Paste all of what was printed.</p>
          )}
          {change.error && <Trouble>{sentence(change.error)}</Trouble>}
          <Button
            variant="contained"
            sx={{ mt: 1 }}
            onClick={takeOver}
            disabled={fresh.length === 0 || change.isPending}
          >
            Note {fresh.length} as taken
          </Button>
        </>
      )}
    </Paper>
  )
}
