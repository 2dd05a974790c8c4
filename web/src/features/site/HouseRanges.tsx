import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import Paper from '@mui/material/Paper'
import TextField from '@mui/material/TextField'
import visuallyHidden from '@mui/utils/visuallyHidden'
import { useState } from 'react'
import { rights } from '../../shared/api/changes'
import { Refused, sentence } from '../../shared/api/client'
import { useChange } from '../../shared/api/job'
import type { HouseRange, Job } from '../../shared/api/types'
import { EditCell } from '../../shared/ui/EditCell'
import type { Column } from '../../shared/ui/SheetTable'
import { SheetTable } from '../../shared/ui/SheetTable'
import { Trouble } from '../../shared/ui/Trouble'

const uses: Readonly<Record<string, string>> = {
  taken: 'taken by others',
  pool: 'DHCP pool',
  reserved: 'kept back',
}

/** Addresses that are not ours to give out. */
export function HouseRanges({ job }: { readonly job: Job }) {
  const change = useChange(job.id)
  const may = rights(job).plan
  const cell = (r: HouseRange, field: 'first' | 'last' | 'holder', name: string) => (
    <EditCell
      job={job}
      item="range"
      id={r.id}
      field={field}
      value={r[field]}
      label={`${name} of ${r.first}`}
      hint="Enter takes it"
    >
      {r[field] || '–'}
    </EditCell>
  )
  const columns: readonly Column<HouseRange>[] = [
    { title: 'What', cell: (r) => uses[r.use] ?? r.use },
    { title: 'From', mono: true, cell: (r) => cell(r, 'first', 'First address') },
    { title: 'To', mono: true, cell: (r) => cell(r, 'last', 'Last address') },
    { title: 'Whose', cell: (r) => cell(r, 'holder', 'Holder') },
    {
      title: 'Actions',
      head: <Box sx={visuallyHidden}>Actions</Box>,
      cell: (r) =>
        may && (
          <Button
            size="small"
            aria-label={`Remove ${r.first}`}
            onClick={() => change.mutate({ adds: [], edits: [], removes: [{ item: 'range', id: r.id }] })}
          >
            Remove
          </Button>
        ),
    },
  ]
  return (
    <Paper sx={{ mb: 2 }}>
      <Box component="h2" sx={{ typography: 'h2', m: 0, p: 2, pb: 1 }}>
        Not ours to give out
      </Box>
      {job.ranges.length === 0 ? (
        <Box sx={{ px: 2, pb: 1 }}>
          Nothing noted yet: add the DHCP pool and what other people’s gear has, or paste a list below.
        </Box>
      ) : (
        <SheetTable
          label="House addresses"
          columns={columns}
          rows={job.ranges}
          rowKey={(r) => r.id}
          rowLabel={(r) => r.first}
        />
      )}
      {change.error && <Trouble>{sentence(change.error)}</Trouble>}
      {may && <AddRange job={job} />}
    </Paper>
  )
}

const EMPTY = { use: 'taken', first: '', last: '', holder: '' }

function AddRange({ job }: { readonly job: Job }) {
  const [range, setRange] = useState(EMPTY)
  const change = useChange(job.id)
  const wrong = change.error instanceof Refused ? change.error.body.field : undefined
  const type = (field: keyof typeof EMPTY) => (e: { target: { value: string } }) =>
    setRange({ ...range, [field]: e.target.value })
  const add = () => {
    const values = { ...range, last: range.last.trim() || range.first.trim(), first: range.first.trim() }
    change.mutate(
      { adds: [{ item: 'range', id: -1, values }], edits: [], removes: [] },
      { onSuccess: () => setRange(EMPTY) },
    )
  }
  return (
    <Box
      component="form"
      onSubmit={(e) => {
        e.preventDefault()
        add()
      }}
      sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', p: 2, alignItems: 'flex-start' }}
    >
      <TextField select label="What" value={range.use} onChange={type('use')} sx={{ width: 180 }}>
        {Object.entries(uses).map(([use, words]) => (
          <MenuItem key={use} value={use}>
            {words}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        label="From"
        value={range.first}
        onChange={type('first')}
        error={wrong === 'first'}
        slotProps={{ htmlInput: { className: 'mono', spellCheck: false } }}
        sx={{ width: 142 }}
        required
      />
      <TextField
        label="To"
        value={range.last}
        onChange={type('last')}
        error={wrong === 'last'}
        helperText="empty for one"
        slotProps={{ htmlInput: { className: 'mono', spellCheck: false } }}
        sx={{ width: 142 }}
      />
      <TextField
        label="Whose"
        value={range.holder}
        onChange={type('holder')}
        error={wrong === 'holder'}
        sx={{ width: 142 }}
      />
      <Button type="submit" variant="outlined" disabled={change.isPending}>
        Add
      </Button>
      {change.error && <Trouble>{sentence(change.error)}</Trouble>}
    </Box>
  )
}
