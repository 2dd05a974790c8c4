import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Checkbox from '@mui/material/Checkbox'
import Paper from '@mui/material/Paper'
import { useMutation } from '@tanstack/react-query'
import { useState } from 'react'
import { editing, rights } from '../../shared/api/changes'
import { sentence, upload } from '../../shared/api/client'
import type { ComparedRow, Comparison, Job } from '../../shared/api/types'
import { fieldWords } from '../../shared/ui/editWords'
import { FixDialog } from '../../shared/ui/FixDialog'
import type { Column } from '../../shared/ui/SheetTable'
import { SheetTable } from '../../shared/ui/SheetTable'
import { Trouble } from '../../shared/ui/Trouble'

/** Somebody's address sheet beside the plan: what differs is taken over row by row. */
export function CompareSheet({ job }: { readonly job: Job }) {
  const [chosen, setChosen] = useState<ReadonlySet<number>>(new Set())
  const [taking, setTaking] = useState(false)
  const read = useMutation({
    mutationFn: (file: Blob) =>
      upload<Comparison>(
        `/api/jobs/${job.id}/addresses/compare`,
        new Blob([file], { type: 'application/octet-stream' }),
        () => undefined,
      ).done,
    onSuccess: (seen) => setChosen(new Set(seen.rows.filter((r) => r.edits.length > 0).map((r) => r.number))),
  })
  const seen = read.data
  const edits = (seen?.rows ?? []).filter((r) => chosen.has(r.number)).flatMap((r) => r.edits)
  const toggle = (row: number) =>
    setChosen((now) => {
      const next = new Set(now)
      if (!next.delete(row)) next.add(row)
      return next
    })
  return (
    <Paper sx={{ p: 2, mt: 2 }}>
      <Box component="h2" sx={{ typography: 'h2', fontSize: '1.05rem', mt: 0, mb: 1 }}>
        Compare with a sheet
      </Box>
      <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap' }}>
        <Button component="label" variant="outlined">
          A CSV or XLSX file …
          <input
            type="file"
            accept=".csv,.tsv,.txt,.xlsx"
            aria-label="Sheet to compare"
            hidden
            onChange={(e) => {
              const file = e.target.files?.[0]
              if (file) read.mutate(file)
              e.target.value = ''
            }}
          />
        </Button>
        <span>
          Its first row names the columns: address, and name, MAC or line. Nothing changes before you say so.
        </span>
      </Box>
      {read.error && <Trouble>{sentence(read.error)}</Trouble>}
      {seen && (
        <>
          <p role="status">
            Rows that agree: {seen.rows.filter((r) => r.edits.length === 0 && !r.trouble).length}; that
            differ: {seen.rows.filter((r) => r.edits.length > 0).length}; that cannot be taken:{' '}
            {seen.rows.filter((r) => r.trouble).length}.
            {seen.missing.length > 0 && ` Not in the sheet: ${seen.missing.join(', ')}.`}
          </p>
          <SheetTable
            label="Comparison"
            columns={columns(job, chosen, toggle)}
            rows={seen.rows.filter((r) => r.edits.length > 0 || r.trouble)}
            rowKey={(r) => r.number}
            rowLabel={(r) => r.name}
          />
          {rights(job).plan && (
            <Button
              variant="contained"
              sx={{ mt: 1 }}
              disabled={edits.length === 0}
              onClick={() => setTaking(true)}
            >
              Take over {chosen.size} {chosen.size === 1 ? 'row' : 'rows'} …
            </Button>
          )}
        </>
      )}
      {taking && (
        <FixDialog
          job={job}
          title="Take over from the sheet"
          changes={editing(...edits)}
          onClose={() => {
            setTaking(false)
            read.reset()
          }}
        />
      )}
    </Paper>
  )
}

function columns(
  job: Job,
  chosen: ReadonlySet<number>,
  onToggle: (row: number) => void,
): readonly Column<ComparedRow>[] {
  const name = new Map(job.devices.map((d) => [d.id, d.name]))
  return [
    {
      title: 'Take',
      cell: (r) =>
        r.edits.length > 0 && (
          <Checkbox
            size="small"
            checked={chosen.has(r.number)}
            onChange={() => onToggle(r.number)}
            slotProps={{ input: { 'aria-label': `Take row ${r.number}` } }}
          />
        ),
    },
    { title: 'Row', mono: true, cell: (r) => r.number },
    { title: 'In the sheet', cell: (r) => r.name },
    { title: 'Device', cell: (r) => (r.deviceId !== null && name.get(r.deviceId)) || '–' },
    {
      title: 'Plan, then sheet',
      cell: (r) =>
        r.trouble ||
        r.edits.map((e) => (
          <div key={e.field}>
            {fieldWords(e.field)} <span className="mono">{e.before || 'none'}</span> →{' '}
            <b className="mono">{e.after}</b>
          </div>
        )),
    },
  ]
}
