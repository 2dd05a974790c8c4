import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { editing } from '../../shared/api/changes'
import { post, sentence } from '../../shared/api/client'
import { showChange, useChange } from '../../shared/api/job'
import type { Device, Job, JobPatch } from '../../shared/api/types'
import { formats } from '../../shared/formats'
import { Trouble } from '../../shared/ui/Trouble'
import { useShelf } from './Shelf'
import { conditions } from './conditions'

interface Props {
  readonly job: Job
  readonly devices: readonly Device[]
  readonly onDone: () => void
}

/** One value for everything that is ticked, as one change with one undo; or all of it off the van. */
export function ManyAtOnce({ job, devices, onDone }: Props) {
  const [field, setField] = useState('condition')
  const [value, setValue] = useState('new')
  const queries = useQueryClient()
  const change = useChange(job.id)
  const fields = useFields(job)
  const choices = fields[field]?.choices
  const remove = useMutation({
    mutationFn: () => post<JobPatch>(`/api/jobs/${job.id}/kit/remove`, { devices: devices.map((d) => d.id) }),
    onSuccess: async (view) => {
      onDone()
      await showChange(queries, view)
    },
  })
  const choose = (next: string) => {
    setField(next)
    setValue(Object.keys(fields[next]?.choices ?? {})[0] ?? '')
  }
  const take = () => {
    const differ = devices.filter((d) => current(d, field) !== value.trim())
    const edits = differ.map((d) => ({
      item: 'device',
      id: d.id,
      field,
      before: current(d, field),
      after: value.trim(),
    }))
    if (edits.length === 0) return onDone()
    change.mutate(editing(...edits), { onSuccess: onDone })
  }
  const error = change.error ?? remove.error
  return (
    <Box
      component="form"
      aria-label="Many at once"
      onSubmit={(e) => {
        e.preventDefault()
        take()
      }}
      sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}
    >
      <b>{devices.length} ticked:</b>
      <TextField
        select
        label="Set"
        value={field}
        onChange={(e) => choose(e.target.value)}
        sx={{ width: 130 }}
      >
        {Object.entries(fields).map(([name, f]) => (
          <MenuItem key={name} value={name}>
            {f.title}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        select={choices !== undefined}
        label="to"
        value={value}
        onChange={(e) => setValue(e.target.value)}
        sx={{ width: 150 }}
      >
        {choices &&
          Object.entries(choices).map(([word, text]) => (
            <MenuItem key={word} value={word}>
              {text}
            </MenuItem>
          ))}
      </TextField>
      <Button type="submit" variant="outlined" disabled={change.isPending}>
        Set
      </Button>
      <Button onClick={() => remove.mutate()} disabled={remove.isPending}>
        Remove
      </Button>
      {error && <Trouble>{sentence(error)}</Trouble>}
    </Box>
  )
}

interface ManyField {
  readonly title: string
  readonly choices?: Readonly<Record<string, string>>
}

function useFields(job: Job): Readonly<Record<string, ManyField>> {
  const shelf = useShelf(job)
  return {
    condition: { title: 'Condition', choices: conditions },
    firmware: { title: 'Firmware' },
    format: { title: 'Format set', choices: formats },
    profile: {
      title: 'Profile',
      choices: Object.fromEntries((shelf.data ?? []).map((p) => [p.id, p.name])),
    },
  }
}

function current(d: Device, field: string): string {
  const all: Readonly<Record<string, string>> = {
    condition: d.condition,
    firmware: d.firmware,
    format: d.format,
    profile: d.profileId,
  }
  return all[field] ?? ''
}
