import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import { useState } from 'react'
import { rights } from '../api/changes'
import { sentence } from '../api/client'
import { useUnwaive, useWaive } from '../api/job'
import type { Finding, Job, Waiver } from '../api/types'
import { StateMark } from './StateMark'
import { Trouble } from './Trouble'

interface Props {
  readonly job: Job
  readonly finding: Finding
}

/** Accepting a finding with a reason; it stays visible as waived. */
export function Waive({ job, finding }: Props) {
  const [reason, setReason] = useState<string>()
  const waive = useWaive(job.id)
  if (reason === undefined) {
    return (
      <Button
        size="small"
        onClick={() => setReason('')}
        sx={{ mt: 0.5 }}
        aria-label={`Waive ${finding.code}`}
      >
        Waive …
      </Button>
    )
  }
  const submit = () =>
    waive.mutate({ finding: finding.key, reason }, { onSuccess: () => setReason(undefined) })
  return (
    <Box
      component="form"
      onSubmit={(e) => {
        e.preventDefault()
        submit()
      }}
      sx={{ mt: 1 }}
    >
      <TextField
        fullWidth
        autoFocus
        label="Why it may stand"
        value={reason}
        onChange={(e) => setReason(e.target.value)}
        onKeyDown={(e) => e.key === 'Escape' && setReason(undefined)}
        slotProps={{ htmlInput: { maxLength: 300 } }}
      />
      {waive.error && <Trouble>{sentence(waive.error)}</Trouble>}
      <Box sx={{ display: 'flex', gap: 1, mt: 0.5 }}>
        <Button
          size="small"
          type="submit"
          variant="outlined"
          disabled={reason.trim().length < 3 || waive.isPending}
        >
          Waive it
        </Button>
        <Button size="small" onClick={() => setReason(undefined)}>
          Leave it
        </Button>
      </Box>
    </Box>
  )
}

/** A finding that somebody accepted: who, and why. */
export function WaivedNote({ job, finding, waiver }: Props & { readonly waiver: Waiver }) {
  const unwaive = useUnwaive(job.id)
  return (
    <Box
      component="section"
      data-code={finding.code}
      data-waived=""
      sx={{ py: 1.5, borderTop: '1px solid', borderColor: 'divider', color: 'text.secondary' }}
    >
      <Box sx={{ display: 'flex', justifyContent: 'space-between', fontSize: '0.85rem' }}>
        <StateMark mark="waived" />
        <span className="mono">{finding.code}</span>
      </Box>
      <Box sx={{ mt: 0.5 }}>{finding.what}</Box>
      <Box sx={{ mt: 0.5, color: 'text.primary' }}>
        {waiver.person}: {waiver.reason}
      </Box>
      {rights(job).plan && (
        <Button size="small" onClick={() => unwaive.mutate(waiver.id)} disabled={unwaive.isPending}>
          No longer waived
        </Button>
      )}
      {unwaive.error && <Trouble>{sentence(unwaive.error)}</Trouble>}
    </Box>
  )
}
