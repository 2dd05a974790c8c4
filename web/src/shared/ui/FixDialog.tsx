import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import Table from '@mui/material/Table'
import TableBody from '@mui/material/TableBody'
import TableCell from '@mui/material/TableCell'
import TableHead from '@mui/material/TableHead'
import TableRow from '@mui/material/TableRow'
import { useQuery } from '@tanstack/react-query'
import { mayAll } from '../api/changes'
import { sentence } from '../api/client'
import { previewChanges, useChange } from '../api/job'
import type { Changes, Finding, Job } from '../api/types'
import { AgainList } from './AgainList'
import { addedWords, fieldWords, itemName, valueWords } from './editWords'
import { Trouble } from './Trouble'

interface Props {
  readonly job: Job
  readonly title: string
  readonly changes: Changes
  readonly onClose: () => void
}

/** What a change set would do, before it does it: values before and after, findings gone and new. */
export function FixDialog({ job, title, changes, onClose }: Props) {
  const preview = useQuery({
    queryKey: ['preview', job.id, job.version, job.observed, changes],
    queryFn: () => previewChanges(job.id, changes),
  })
  const change = useChange(job.id, true)
  const effect = preview.data && {
    gone: but(preview.data.gone, preview.data.fresh),
    fresh: but(preview.data.fresh, preview.data.gone),
  }
  const apply = () => change.mutate(changes, { onSuccess: onClose })
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth>
      <DialogTitle>{title}</DialogTitle>
      <DialogContent>
        {changes.edits.length > 0 && <Edits job={job} changes={changes} />}
        <Whole title="Added" items={changes.adds.map((a) => addedWords(job, a))} />
        <Whole title="Taken away" items={changes.removes.map((r) => itemName(job, r))} />
        {effect && <Effect title="This clears" none="no finding" findings={effect.gone} />}
        {effect && effect.fresh.length > 0 && <Effect title="This brings" none="" findings={effect.fresh} />}
        {preview.data && preview.data.again.length > 0 && (
          <>
            <h3 style={{ marginBottom: 4 }}>To be proved again</h3>
            <AgainList again={preview.data.again} />
          </>
        )}
        {(preview.error ?? change.error) && <Trouble>{sentence(preview.error ?? change.error)}</Trouble>}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Leave as it is</Button>
        <Button
          variant="contained"
          onClick={apply}
          disabled={!preview.data || change.isPending || !mayAll(job, changes)}
          autoFocus
        >
          Apply
        </Button>
      </DialogActions>
    </Dialog>
  )
}

/** A finding that says the same before and after, of devices in another order, neither goes nor comes. */
function but(these: readonly Finding[], others: readonly Finding[]): readonly Finding[] {
  const said = new Set(others.map((f) => f.what))
  return these.filter((f) => !said.has(f.what))
}

function Edits({ job, changes }: { readonly job: Job; readonly changes: Changes }) {
  return (
    <Table size="small">
      <TableHead>
        <TableRow>
          <TableCell>What</TableCell>
          <TableCell>Field</TableCell>
          <TableCell>Now</TableCell>
          <TableCell>Then</TableCell>
        </TableRow>
      </TableHead>
      <TableBody>
        {changes.edits.map((c) => (
          <TableRow key={`${c.item} ${c.id} ${c.field}`}>
            <TableCell>{itemName(job, c)}</TableCell>
            <TableCell>{fieldWords(c.field)}</TableCell>
            <TableCell className="mono">{valueWords(job, c.field, c.before)}</TableCell>
            <TableCell className="mono">{valueWords(job, c.field, c.after)}</TableCell>
          </TableRow>
        ))}
      </TableBody>
    </Table>
  )
}

/** Items that come or go as a whole. */
function Whole({ title, items }: { readonly title: string; readonly items: readonly string[] }) {
  if (items.length === 0) return null
  return (
    <>
      <h3 style={{ marginBottom: 4 }}>
        {title}: {items.length}
      </h3>
      <ul style={{ margin: 0, paddingLeft: 20 }}>
        {items.map((text, i) => (
          <li key={`${i} ${text}`}>{text}</li>
        ))}
      </ul>
    </>
  )
}

function Effect(props: {
  readonly title: string
  readonly none: string
  readonly findings: readonly Finding[]
}) {
  return (
    <>
      <h3 style={{ marginBottom: 4 }}>{props.title}</h3>
      {props.findings.length === 0 && <div>{props.none}</div>}
      <ul style={{ margin: 0, paddingLeft: 20 }}>
        {props.findings.map((f) => (
          <li key={f.key}>
            <b>{f.severity}</b> {f.what}
          </li>
        ))}
      </ul>
    </>
  )
}
