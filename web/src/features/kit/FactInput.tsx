import Checkbox from '@mui/material/Checkbox'
import FormControlLabel from '@mui/material/FormControlLabel'
import InputAdornment from '@mui/material/InputAdornment'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import { useState } from 'react'
import type { Schema } from './profileSchema'
import { said } from './profileSchema'

interface Props {
  readonly schema: Schema
  readonly required: boolean
  readonly value: unknown
  readonly problem: string | undefined
  readonly onChange: (value: unknown) => void
}

/** One fact: a tick, a word of several, a number with its unit, a text, or a list of those. */
export function FactInput({ schema, required, value, problem, onChange }: Props) {
  const title = schema.title ?? ''
  if (schema.type === 'boolean') {
    return (
      <FormControlLabel
        label={title}
        control={<Checkbox checked={value === true} onChange={(e) => onChange(e.target.checked)} />}
      />
    )
  }
  const words = schema.enum ?? schema.items?.enum
  if (words) {
    const several = schema.type === 'array'
    const now = several ? (Array.isArray(value) ? value.map(String) : []) : said(value)
    return (
      <TextField
        select
        label={title}
        required={required}
        value={now}
        error={problem !== undefined}
        helperText={problem}
        onChange={(e) => onChange(e.target.value)}
        slotProps={{ select: { multiple: several } }}
        sx={{ minWidth: 170, maxWidth: 360 }}
      >
        {words.map((w) => (
          <MenuItem key={w} value={w}>
            {w.replaceAll('-', ' ')}
          </MenuItem>
        ))}
      </TextField>
    )
  }
  return <Typed schema={schema} required={required} value={value} problem={problem} onChange={onChange} />
}

/** Numbers stay as they are typed until they are numbers, so that "0." is not eaten. */
function Typed({ schema, required, value, problem, onChange }: Props) {
  const [typed, setTyped] = useState(written(value))
  // Where an item before it was removed, another's value is here now.
  const text = saysSame(meant(schema, typed), value) ? typed : written(value)
  const one = schema.type === 'array' ? (schema.items ?? {}) : schema
  const isNumber = one.type === 'number' || one.type === 'integer'
  const unit = schema['x-unit']
  const type = (next: string) => {
    setTyped(next)
    onChange(meant(schema, next))
  }
  return (
    <TextField
      label={schema.title ?? ''}
      required={required}
      value={text}
      error={problem !== undefined}
      helperText={problem ?? (isNumber ? `${one.minimum} to ${one.maximum}` : undefined)}
      onChange={(e) => type(e.target.value)}
      slotProps={{
        htmlInput: { className: isNumber ? 'mono' : undefined, spellCheck: false, maxLength: 300 },
        ...(unit ? { input: { endAdornment: <InputAdornment position="end">{unit}</InputAdornment> } } : {}),
      }}
      sx={{ width: isNumber ? 170 : 260 }}
    />
  )
}

const written = (value: unknown) => (Array.isArray(value) ? value.map(String).join(', ') : said(value))

/** A fact that is not there says the same as an empty text. */
const saysSame = (one: unknown, other: unknown) => JSON.stringify(one ?? '') === JSON.stringify(other ?? '')

/** What a typed text means; what is no number stays a text, and the server says so at its place. */
export function meant(schema: Schema, typed: string): unknown {
  if (schema.type === 'array') {
    const parts = typed.split(',').map((p) => p.trim())
    const full = parts.filter((p) => p !== '').map((p) => meant(schema.items ?? {}, p))
    return full.length === 0 ? undefined : full
  }
  const isNumber = schema.type === 'number' || schema.type === 'integer'
  if (!isNumber) return typed
  const plain = typed.trim().replace(',', '.')
  if (plain === '') return undefined
  return Number.isFinite(Number(plain)) ? Number(plain) : typed
}
