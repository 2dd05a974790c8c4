import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Drawer from '@mui/material/Drawer'
import { sentence } from '../../shared/api/client'
import type { Job, Observation } from '../../shared/api/types'
import { dayAndTime } from '../../shared/format/moment'
import { Trouble } from '../../shared/ui/Trouble'
import { Happened } from './Happened'
import type { Row } from './matrix'
import { Question } from './Question'
import type { useProve } from './useProve'
import { useObservations } from './useProve'
import { standings } from '../../shared/ui/standings'
import { headOf } from './words'

interface Props {
  readonly job: Job
  readonly row: Row
  readonly test: string
  readonly may: boolean
  readonly prove: ReturnType<typeof useProve>
  readonly onClose: () => void
}

/** What is behind one mark, and the question to a person. */
export function EvidenceDrawer({ job, row, test, may, prove, onClose }: Props) {
  const standing = row.tests.get(test)
  const known = useObservations(job.id, row.line.id, test)
  const [sign, word] = standings[standing?.standing ?? ''] ?? ['', '']
  return (
    <Drawer anchor="right" open onClose={onClose} slotProps={{ paper: { 'aria-label': 'Evidence' } }}>
      <Box sx={{ width: { xs: '100vw', sm: 520 }, p: 2.5 }}>
        <Box sx={{ display: 'flex', alignItems: 'start', gap: 1 }}>
          <Box component="h2" sx={{ typography: 'h1', m: 0, flex: 1 }}>
            {row.line.name}: {headOf(test)}
          </Box>
          <Button onClick={onClose}>Close</Button>
        </Box>
        <p style={{ marginTop: 4 }}>
          <span aria-hidden="true">{sign}</span> {word || 'does not apply'}
          {standing?.why && `. ${standing.why}`}
        </p>
        {standing && standing.standing !== 'not-applicable' && may && (
          <Question key={test} row={row} test={test} see={prove.see} />
        )}
        <Box component="h3" sx={{ mb: 0.5 }}>
          What was done
        </Box>
        {known.error && <Trouble>{sentence(known.error)}</Trouble>}
        {known.data?.observations.length === 0 && <p>Nothing yet.</p>}
        {known.data?.observations.map((o) => (
          <Done key={o.number} job={job} observation={o} />
        ))}
        {may && standing && <Happened row={row} happened={prove.happened} />}
      </Box>
    </Drawer>
  )
}

const came: Readonly<Record<string, string>> = {
  ok: 'as it should be',
  differs: 'differs',
  failed: 'did not work',
  'cannot-tell': 'cannot be told',
}

function Done({ job, observation: o }: { readonly job: Job; readonly observation: Observation }) {
  return (
    <Box sx={{ borderTop: '1px solid', borderColor: 'divider', py: 1 }} data-observation={o.number}>
      <div>
        <b>{o.evidence}</b>
        {o.outcome !== null && `: ${came[o.outcome]}`}
        {o.value !== '' && <span className="mono"> {o.value}</span>}
      </div>
      {o.detail !== '' && <div>{o.detail}</div>}
      <Box sx={{ color: 'text.secondary', fontSize: '0.9rem' }}>
        {dayAndTime(o.at, job.site.clock)}, {o.person}
      </Box>
      {o.photo !== null && (
        <img
          src={`/api/jobs/${job.id}/log/photos/${o.photo}`}
          alt="What was seen"
          style={{ maxWidth: '100%', marginTop: 4 }}
        />
      )}
    </Box>
  )
}
