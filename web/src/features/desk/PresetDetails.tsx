import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import { useMutation } from '@tanstack/react-query'
import { useState } from 'react'
import { rights } from '../../shared/api/changes'
import { post, sentence } from '../../shared/api/client'
import { useChange, useJobRequest } from '../../shared/api/job'
import { dayAndTime } from '../../shared/format/moment'
import type { Edit, Job, JobPatch, Preset, PresetRow } from '../../shared/api/types'
import { Trouble } from '../../shared/ui/Trouble'
import { PresetNumber } from './PresetNumber'
import { called } from './presets'

interface Props {
  readonly job: Job
  readonly row: PresetRow
  readonly preset: Preset
}

/** What was read when it was stored, what does not come back and why, and what it is called. */
export function PresetDetails({ job, row, preset: p }: Props) {
  const [name, setName] = useState(p.name)
  const [note, setNote] = useState(p.note)
  const change = useChange(job.id)
  const may = rights(job).drive
  const name0 = called(row, p.number)
  const edits: Edit[] = [
    { item: 'preset', id: p.id, field: 'name', before: p.name, after: name.trim() },
    { item: 'preset', id: p.id, field: 'note', before: p.note, after: note.trim() },
  ].filter((e) => e.before !== e.after)
  return (
    <Box
      role="group"
      aria-label={`Preset ${name0} of ${row.camera}`}
      sx={{ borderLeft: '4px solid', borderColor: 'divider', pl: 1.5, mt: 1, maxWidth: 620 }}
    >
      <Box>
        {p.at
          ? `Stored by ${p.by}, ${dayAndTime(p.at, job.site.clock)}. Read then: ${readWords(p)}`
          : 'Noted only: what it holds was never read.'}
      </Box>
      <Box sx={{ mt: 0.5 }}>
        Number {p.number} in the camera. {row.kept}
      </Box>
      {row.callers.map((words) => (
        <Box key={words}>{words}</Box>
      ))}
      {p.lost.map((l) => (
        <Box key={l.part} sx={{ mt: 0.5, '&::first-letter': { textTransform: 'uppercase' } }}>
          <b>{l.why}.</b>{' '}
          {l.knob !== '' && typeof l.to === 'number' && (
            <SetKnob job={job} device={row.device} knob={l.knob} to={l.to} />
          )}
        </Box>
      ))}
      {may && (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 1 }}>
          <TextField
            size="small"
            label={`Name of preset ${name0}`}
            value={name}
            onChange={(e) => setName(e.target.value)}
            slotProps={{ htmlInput: { maxLength: 40 } }}
          />
          <TextField
            size="small"
            label={`Note on preset ${name0}`}
            value={note}
            onChange={(e) => setNote(e.target.value)}
            slotProps={{ htmlInput: { maxLength: 120 } }}
          />
          <Button
            variant="outlined"
            disabled={edits.length === 0 || change.isPending}
            onClick={() => change.mutate({ adds: [], edits, removes: [] })}
          >
            Rename
          </Button>
          <Button
            disabled={change.isPending}
            onClick={() => change.mutate({ adds: [], edits: [], removes: [{ item: 'preset', id: p.id }] })}
          >
            Strike it from this list
          </Button>
        </Box>
      )}
      {may && <MovePreset job={job} row={row} preset={p} />}
      {change.error && <Trouble>{sentence(change.error)}</Trouble>}
    </Box>
  )
}

/** Another number for it: whatever has that one changes places with it. */
function MovePreset({ job, row, preset: p }: Props) {
  const [to, setTo] = useState(p.number)
  const other = row.presets.find((o) => o.number === to && o.id !== p.id)
  const move = useJobRequest<void>(() =>
    post<JobPatch>(`/api/jobs/${job.id}/presets/${row.device}/${p.number}/move`, { to }),
  )
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 1, alignItems: 'center' }}>
      <PresetNumber row={row} number={to} onNumber={setTo} />
      <Button
        variant="outlined"
        disabled={to === p.number || move.isPending}
        onClick={() => move.mutate(undefined)}
      >
        {other ? `Change places with ${called(row, to)} ${other.name}` : 'Give it this number'}
      </Button>
      <Box sx={{ color: 'text.secondary', flexBasis: 240, flexGrow: 1 }}>
        Takes follow. The camera knows of it when its row is written back.
      </Box>
      {move.error && <Trouble>{sentence(move.error)}</Trouble>}
    </Box>
  )
}

function readWords(p: Preset): string {
  const places = [
    typeof p.pan === 'number' && `pan ${p.pan.toFixed(1)}°`,
    typeof p.tilt === 'number' && `tilt ${p.tilt.toFixed(1)}°`,
    typeof p.zoom === 'number' && `zoom ${p.zoom} counts`,
  ].filter(Boolean)
  return places.length > 0 ? `${places.join(', ')}.` : 'nothing, it tells nothing back.'
}

interface SetProps {
  readonly job: Job
  readonly device: number
  readonly knob: string
  readonly to: number
}

/** The one action that makes a part storable. */
function SetKnob({ job, device, knob, to }: SetProps) {
  const set = useMutation({
    mutationFn: () => post(`/api/jobs/${job.id}/told/${device}/turn`, { knob, value: to, confirmed: false }),
  })
  return (
    <>
      <Button size="small" variant="outlined" disabled={set.isPending} onClick={() => set.mutate()}>
        Set {knob}
      </Button>
      {set.isSuccess && ' Set. Store it again.'}
      {set.error && <Trouble>{sentence(set.error)}</Trouble>}
    </>
  )
}
