import MenuItem from '@mui/material/MenuItem'
import Select from '@mui/material/Select'
import { useState } from 'react'
import { adding, editing, rights } from '../api/changes'
import { sentence } from '../api/client'
import { useChange } from '../api/job'
import type { Seat } from '../api/useSeat'
import { ChangeButton } from './ChangeButton'

interface Props {
  readonly job: Seat
  readonly item: string
  /** None while the item is not there yet; then `adds` says with what it is made. */
  readonly id: number | null
  readonly field: string
  readonly value: string
  /** Of the list, for example "Where L4 comes from". */
  readonly label: string
  /** The item is not there yet: choosing adds it with these. */
  readonly adds?: Readonly<Record<string, string>>
  /** What may be chosen, with its words, in order. */
  readonly choices: Readonly<Record<string, string>>
}

/** One of a few words, chosen where it stands; taken as soon as it is chosen. */
export function ChoiceCell(props: Props) {
  const [touched, touch] = useState(false)
  const { label, choices, value } = props
  const words = choices[value] ?? (value || '–')
  if (!rights(props.job).plan) return <>{words}</>
  if (touched) return <Choosing {...props} />
  return (
    <ChangeButton label={label} onClick={() => touch(true)}>
      {words}
    </ChangeButton>
  )
}

/** Once it was opened: the list, and what became of the choice. Most cells of a page never are. */
function Choosing({ job, item, id, field, value, label, adds, choices }: Props) {
  const [open, setOpen] = useState(true)
  const change = useChange(job.id)
  const words = choices[value] ?? (value || '–')
  if (!open) {
    return (
      <>
        <ChangeButton label={label} onClick={() => setOpen(true)}>
          {words}
        </ChangeButton>
        {change.error && <div role="alert">{sentence(change.error)}</div>}
      </>
    )
  }
  const take = (after: string) => {
    setOpen(false)
    if (after === value) return
    change.mutate(
      adds
        ? adding(item, { ...adds, [field]: after })
        : editing({ item, id: id ?? 0, field, before: value, after }),
    )
  }
  return (
    <Select
      size="small"
      open
      autoFocus
      value={value in choices ? value : ''}
      onChange={(e) => take(e.target.value)}
      onClose={() => setOpen(false)}
      inputProps={{ 'aria-label': label }}
    >
      {Object.entries(choices).map(([word, text]) => (
        <MenuItem key={word} value={word}>
          {text}
        </MenuItem>
      ))}
    </Select>
  )
}
