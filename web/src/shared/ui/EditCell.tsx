import Box from '@mui/material/Box'
import Popper from '@mui/material/Popper'
import TextField from '@mui/material/TextField'
import { useRef, useState } from 'react'
import type { KeyboardEvent, ReactNode } from 'react'
import { adding, editing, mayChange, target } from '../api/changes'
import { Refused, sentence } from '../api/client'
import { useChange } from '../api/job'
import { outbox, useOutbox } from '../api/outbox'
import type { Edit } from '../api/types'
import type { Seat } from '../api/useSeat'
import { ChangeButton } from './ChangeButton'
import { ConflictChoice } from './ConflictChoice'

interface Props {
  readonly job: Seat
  readonly item: string
  /** None while the item is not there yet; then `adds` says with what it is made. */
  readonly id: number | null
  readonly field: string
  /** As it stands now. */
  readonly value: string
  /** What stands in the input at first, where that is not the value itself: a length in feet. */
  readonly typing?: string
  /** Of the input, for example "Address of L4". */
  readonly label: string
  readonly hint: string
  /** The item is not there yet: taking a value adds it with these. */
  readonly adds?: Readonly<Record<string, string>>
  /** Writes what was typed the one way it is stored; trimmed when there is none. */
  readonly tidy?: (typed: string) => string
  /** What the value would bring, shown while it is typed. */
  readonly ahead?: (typed: string) => ReactNode
  /** What is shown while nobody edits. */
  readonly children: ReactNode
}

/**
 * A value that is edited where it stands. A refusal shows right here with what was typed; somebody
 * else's change shows both values; without the server what was typed is kept and sent later.
 */
export function EditCell(props: Props) {
  const { job, item, field, value } = props
  const id = props.id ?? 0
  const [started, setStarted] = useState<string>()
  const kept = useOutbox(job.id).find((k) =>
    k.changes.edits.some((e) => target(e) === target({ item, id, field })),
  )
  const edit = (before: string, after: string): Edit => ({ item, id, field, before, after })
  if (kept && started === undefined) {
    const mine = kept.changes.edits.find((e) => target(e) === target({ item, id, field }))?.after ?? ''
    return (
      <Kept
        {...props}
        mine={mine}
        refusal={kept.refusal}
        theirs={kept.theirs}
        onTheirs={() => outbox.drop(kept.key)}
        onYours={() => {
          outbox.drop(kept.key)
          outbox.keep(job.id, editing(edit(kept.theirs ?? value, mine)))
        }}
      />
    )
  }
  if (!mayChange(job, props.item)) return props.children
  if (started === undefined) {
    return (
      <ChangeButton label={props.label} onClick={() => setStarted(value)}>
        {props.children}
      </ChangeButton>
    )
  }
  return <Editing {...props} started={started} edit={edit} onLeave={() => setStarted(undefined)} />
}

interface EditingProps extends Props {
  /** What stood there when editing began: the change starts from it, whatever others do meanwhile. */
  readonly started: string
  readonly edit: (before: string, after: string) => Edit
  readonly onLeave: () => void
}

const trimmed = (typed: string) => typed.trim()

function Editing(props: EditingProps) {
  const { job, item, field, label, hint, started, typing, adds, edit, onLeave, tidy = trimmed } = props
  const first = typing ?? started
  const [typed, setTyped] = useState(first)
  const input = useRef<HTMLInputElement>(null)
  const [box, setBox] = useState<HTMLElement | null>(null)
  const change = useChange(job.id)
  const theirs = change.error instanceof Refused ? change.error.body.theirs : undefined
  const take = (before: string) => {
    if (change.isPending) return
    const after = tidy(typed)
    if (after === before || typed === first) return onLeave()
    change.mutate(adds ? adding(item, { ...adds, [field]: after }) : editing(edit(before, after)), {
      onSuccess: onLeave,
      onError: (error) => mark(input.current, error),
    })
  }
  const onKey = (event: KeyboardEvent) => {
    if (event.key === 'Enter' && theirs === undefined) take(started)
    if (event.key === 'Escape') onLeave()
    event.stopPropagation()
  }
  return (
    <Box sx={{ position: 'relative' }} ref={setBox}>
      <TextField
        autoFocus
        inputRef={input}
        value={typed}
        onChange={(e) => setTyped(e.target.value)}
        onKeyDown={onKey}
        onBlur={() => theirs === undefined && take(started)}
        error={change.isError}
        helperText={theirs !== undefined ? undefined : change.error ? sentence(change.error) : hint}
        slotProps={{ htmlInput: { className: 'mono', 'aria-label': label, spellCheck: false } }}
      />
      {props.ahead && box && (
        <Popper open anchorEl={box} placement="bottom-start" sx={{ zIndex: 1300 }}>
          {props.ahead(typed)}
        </Popper>
      )}
      {theirs !== undefined && (
        <ConflictChoice
          what={label}
          theirs={theirs}
          yours={typed.trim()}
          onTheirs={onLeave}
          onYours={() => take(theirs)}
        />
      )}
    </Box>
  )
}

/** Selects from the first wrong character on, so that typing goes on right there. */
function mark(input: HTMLInputElement | null, error: unknown) {
  if (input && error instanceof Refused && error.body.index !== undefined) {
    input.setSelectionRange(error.body.index, input.value.length)
  }
}

interface KeptProps extends Props {
  readonly mine: string
  readonly refusal: string | undefined
  readonly theirs: string | undefined
  readonly onTheirs: () => void
  readonly onYours: () => void
}

function Kept({ label, value, mine, refusal, theirs, onTheirs, onYours }: KeptProps) {
  if (refusal !== undefined) {
    return (
      <Box sx={{ position: 'relative' }}>
        {mine || 'none'}
        {theirs === undefined && <Box sx={{ whiteSpace: 'normal' }}>{refusal}</Box>}
        <ConflictChoice
          what={label}
          theirs={theirs ?? value}
          yours={mine}
          onTheirs={onTheirs}
          onYours={onYours}
        />
      </Box>
    )
  }
  return (
    <Box component="span" data-kept="">
      {mine || 'none'}
      <Box component="span" sx={{ display: 'block', color: 'text.secondary', fontSize: '0.85rem' }}>
        kept here, not sent yet
      </Box>
    </Box>
  )
}
