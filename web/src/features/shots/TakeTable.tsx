import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useState } from 'react'
import { editing, rights } from '../../shared/api/changes'
import { sentence } from '../../shared/api/client'
import { useChange } from '../../shared/api/job'
import type { Edit, Job, ShotList, Take } from '../../shared/api/types'
import { ChangeButton } from '../../shared/ui/ChangeButton'
import { EditCell } from '../../shared/ui/EditCell'
import { SheetTable } from '../../shared/ui/SheetTable'
import { clockText, tidyTenths } from './clock'
import type { View } from './views'
import { ViewPick } from './ViewPick'

interface Props {
  readonly job: Job
  readonly list: ShotList
  readonly views: readonly View[]
}

const tenths = (seconds: number) => String(Math.round(seconds * 10))

/** Every take with what it shows, when, and whether its camera can be there. */
export function TakeTable({ job, list, views }: Props) {
  const may = rights(job).drive
  return (
    <SheetTable
      label={`Takes of ${list.name}`}
      rows={list.takes}
      rowKey={(t) => t.id}
      rowLabel={(t) => `Take ${t.number}`}
      columns={[
        { title: 'Take', mono: true, width: 52, cell: (t) => t.number },
        {
          title: 'Start',
          mono: true,
          width: 84,
          cell: (t) => <TimeCell job={job} take={t} field="start" seconds={t.start} what="Start" />,
        },
        {
          title: 'Length',
          mono: true,
          width: 84,
          cell: (t) => <TimeCell job={job} take={t} field="length" seconds={t.length} what="Length" />,
        },
        { title: 'View', cell: (t) => <ViewCell job={job} take={t} views={views} /> },
        {
          title: 'Shows',
          cell: (t) => (
            <TextCell
              job={job}
              take={t}
              field="subject"
              value={t.ownSubject}
              shown={t.subject}
              what="Subject"
            />
          ),
        },
        {
          title: 'Cue',
          cell: (t) => <TextCell job={job} take={t} field="cue" value={t.cue} shown={t.cue} what="Cue" />,
        },
        { title: 'Way', width: 104, cell: (t) => <Way take={t} /> },
        ...(may
          ? [{ title: 'Take away', head: '', width: 44, cell: (t: Take) => <Remove job={job} take={t} /> }]
          : []),
      ]}
    />
  )
}

interface CellProps {
  readonly job: Job
  readonly take: Take
}

interface TimeProps extends CellProps {
  readonly field: string
  readonly seconds: number
  readonly what: string
}

function TimeCell({ job, take, field, seconds, what }: TimeProps) {
  return (
    <EditCell
      job={job}
      item="take"
      id={take.id}
      field={field}
      value={tenths(seconds)}
      typing={clockText(seconds)}
      label={`${what} of take ${take.number}`}
      hint="minutes and seconds"
      tidy={tidyTenths}
    >
      {clockText(seconds)}
    </EditCell>
  )
}

interface TextProps extends CellProps {
  readonly field: string
  readonly value: string
  readonly shown: string
  readonly what: string
}

function TextCell({ job, take, field, value, shown, what }: TextProps) {
  return (
    <EditCell
      job={job}
      item="take"
      id={take.id}
      field={field}
      value={value}
      label={`${what} of take ${take.number}`}
      hint=""
    >
      {shown || '–'}
    </EditCell>
  )
}

function ViewCell({ job, take, views }: CellProps & { readonly views: readonly View[] }) {
  const [open, setOpen] = useState(false)
  const change = useChange(job.id)
  const own = views.find((v) => v.device === take.device && v.preset === take.preset)
  const words = own?.label ?? `${take.camera} · ${take.called || (take.preset ?? 'by hand')}`
  if (!rights(job).drive) return <>{words}</>
  if (open) {
    return (
      <ViewPick
        label={`View of take ${take.number}`}
        views={views}
        value={own ?? null}
        autoFocus
        onLeave={() => setOpen(false)}
        onPick={(v) => {
          setOpen(false)
          const edits = viewEdits(take, v)
          if (edits.length > 0) change.mutate(editing(...edits))
        }}
      />
    )
  }
  return (
    <>
      <ChangeButton label={`View of take ${take.number}`} onClick={() => setOpen(true)}>
        {words}
      </ChangeButton>
      {take.unknown && take.preset !== null && (
        <Box sx={{ fontSize: '0.88rem', color: 'error.main' }}>where it points is not known</Box>
      )}
      {change.error && <div role="alert">{sentence(change.error)}</div>}
    </>
  )
}

/** A take shows another view: camera and number change together. */
function viewEdits(take: Take, view: View): Edit[] {
  const of = (field: string, before: string, after: string): Edit[] =>
    before === after ? [] : [{ item: 'take', id: take.id, field, before, after }]
  return [
    ...of('camera', String(take.device), String(view.device)),
    ...of(
      'preset',
      take.preset === null ? '' : String(take.preset),
      view.preset === null ? '' : String(view.preset),
    ),
  ]
}

function Way({ take }: { readonly take: Take }) {
  if (take.preset === null) return <>by hand</>
  if (!take.way) return <>–</>
  const { needed, free, late } = take.way
  return (
    <Box sx={late ? { color: 'error.main', fontWeight: 600 } : {}}>
      {late ? `${late.toFixed(1)} s late` : `${needed.toFixed(1)} s`}
      <Box sx={{ fontSize: '0.86rem', fontWeight: 400, color: 'text.secondary' }}>
        {late ? `needs ${needed.toFixed(1)}, has ${free.toFixed(1)} s` : `has ${free.toFixed(1)} s`}
      </Box>
    </Box>
  )
}

function Remove({ job, take }: CellProps) {
  const change = useChange(job.id)
  return (
    <Button
      aria-label={`Take ${take.number} away`}
      disabled={change.isPending}
      onClick={() => change.mutate({ adds: [], edits: [], removes: [{ item: 'take', id: take.id }] })}
      sx={{ minWidth: 36 }}
    >
      ×
    </Button>
  )
}
