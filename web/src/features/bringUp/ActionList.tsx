import Box from '@mui/material/Box'
import Link from '@mui/material/Link'
import { Link as RouterLink } from 'react-router'
import type { Job, StepAction } from '../../shared/api/types'
import { CopyValue } from '../../shared/ui/CopyValue'
import { SecretValue } from '../../shared/ui/SecretValue'

interface Props {
  readonly job: Job
  readonly actions: readonly StepAction[]
}

/** The things to do within a step, in their order, each value with its copy button. */
export function ActionList({ job, actions }: Props) {
  if (actions.length === 0) return null
  return (
    <Box component="ol" aria-label="To do" sx={{ my: 1, pl: 3 }}>
      {actions.map((a, i) => (
        <Box component="li" key={`${a.kind}-${i}`} sx={{ py: 0.25 }}>
          <Box sx={{ display: 'flex', columnGap: 1.5, alignItems: 'center', flexWrap: 'wrap' }}>
            <span>{a.text}</span>
            {a.value && <CopyValue label="" value={a.value} name={a.text} bare />}
            {a.secret !== null && <SecretValue job={job.id} secret={a.secret} label={a.text} />}
            {a.wantsSecret && (
              <Link component={RouterLink} to={`/jobs/${job.id}/addresses?tab=secrets`}>
                none is kept yet: make one
              </Link>
            )}
          </Box>
        </Box>
      ))}
    </Box>
  )
}
