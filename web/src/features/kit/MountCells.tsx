import type { Head } from '../../shared/api/types'
import type { Seat } from '../../shared/api/useSeat'
import { ChoiceCell } from '../../shared/ui/ChoiceCell'
import { EditCell } from '../../shared/ui/EditCell'

export const yesNo = { false: 'no', true: 'yes' }
export const startViews = {
  '': '–',
  home: 'home',
  'last-place': 'where it was last',
  'preset-1': 'preset 1',
}
export const follows: Readonly<Record<string, string>> = {
  '': '–',
  lock: 'lock',
  pan: 'pan follows',
  'pan-and-tilt': 'pan and tilt follow',
}

interface Props {
  readonly job: Seat
  readonly head: Head
  readonly field: string
  readonly label: string
}

/** The mount is made when its first value is noted. */
const made = (head: Head) => (head.mount === null ? { adds: { camera: String(head.camera) } } : {})

interface ChoiceProps extends Props {
  readonly choices: Readonly<Record<string, string>>
}

export function MountChoice({ job, head, field, label, choices }: ChoiceProps) {
  return (
    <ChoiceCell
      job={job}
      item="mount"
      id={head.mount}
      field={field}
      value={head.texts[field] ?? ''}
      label={label}
      choices={choices}
      {...made(head)}
    />
  )
}

interface TextProps extends Props {
  readonly hint: string
  readonly shown?: string
}

export function MountText({ job, head, field, label, hint, shown }: TextProps) {
  const value = head.texts[field] ?? ''
  return (
    <EditCell
      job={job}
      item="mount"
      id={head.mount}
      field={field}
      value={value}
      label={`${label} of ${head.name}`}
      hint={hint}
      {...made(head)}
    >
      {shown ?? (value || '–')}
    </EditCell>
  )
}
