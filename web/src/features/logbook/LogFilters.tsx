import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import { useState } from 'react'
import type { ReactNode } from 'react'
import type { Job } from '../../shared/api/types'
import { day, dayTyped } from '../../shared/format/moment'
import { kinds } from './kinds'
import type { LogFilter } from './useLogbook'
import { ANY } from './useLogbook'

interface Props {
  readonly job: Job
  readonly people: readonly string[]
  readonly filter: LogFilter
  readonly onFilter: (filter: LogFilter) => void
}

/** Device, person, kind, day. */
export function LogFilters({ job, people, filter, onFilter }: Props) {
  return (
    <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'flex-start', mt: 1 }}>
      <Choice
        label="Device"
        value={filter.device === 0 ? '' : String(filter.device)}
        onChange={(v) => onFilter({ ...filter, device: Number(v) })}
      >
        {job.devices.map((d) => (
          <MenuItem key={d.id} value={String(d.id)}>
            {d.name}
          </MenuItem>
        ))}
      </Choice>
      <Choice label="Person" value={filter.person} onChange={(person) => onFilter({ ...filter, person })}>
        {people.map((p) => (
          <MenuItem key={p} value={p}>
            {p}
          </MenuItem>
        ))}
      </Choice>
      <Choice label="Kind" value={filter.kind} onChange={(kind) => onFilter({ ...filter, kind })}>
        {Object.entries(kinds).map(([kind, words]) => (
          <MenuItem key={kind} value={kind}>
            {words}
          </MenuItem>
        ))}
      </Choice>
      <DayField key={filter.day} day={filter.day} onDay={(wanted) => onFilter({ ...filter, day: wanted })} />
      {JSON.stringify(filter) !== JSON.stringify(ANY) && (
        <Button onClick={() => onFilter(ANY)}>Show all</Button>
      )}
    </Box>
  )
}

/** A day in words: the browser's own field would say it by the browser's habit. */
function DayField({ day: taken, onDay }: { readonly day: string; readonly onDay: (day: string) => void }) {
  const [typed, setTyped] = useState(taken === '' ? '' : day(taken))
  const [wrong, setWrong] = useState(false)
  const take = () => {
    const wanted = typed.trim() === '' ? '' : dayTyped(typed)
    setWrong(wanted === undefined)
    if (wanted !== undefined && wanted !== taken) onDay(wanted)
  }
  return (
    <TextField
      label="Day"
      placeholder="27 Nov 2026"
      value={typed}
      onChange={(e) => setTyped(e.target.value)}
      onBlur={take}
      onKeyDown={(e) => e.key === 'Enter' && take()}
      error={wrong}
      helperText={wrong ? 'Like 27 Nov 2026' : undefined}
      slotProps={{ inputLabel: { shrink: true } }}
      sx={{ width: 170 }}
    />
  )
}

interface ChoiceProps {
  readonly label: string
  readonly value: string
  readonly onChange: (value: string) => void
  readonly children: ReactNode
}

function Choice({ label, value, onChange, children }: ChoiceProps) {
  return (
    <TextField
      select
      label={label}
      value={value}
      onChange={(e) => onChange(e.target.value)}
      sx={{ width: 170 }}
    >
      <MenuItem value="">any</MenuItem>
      {children}
    </TextField>
  )
}
