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

/** No thing to do, but what to do if one of them fails. */
const ASIDE = 'IF_NOT_LET_IN'

/** The things to do within a step, in their order, each value with its copy button. */
export function ActionList({ job, actions }: Props) {
  const todo = actions.filter((a) => a.kind !== ASIDE)
  const aside = actions.filter((a) => a.kind === ASIDE)
  if (actions.length === 0) return null
  return (
    <>
      <Steps job={job} actions={todo} />
      {aside.map((a) => (
        <Box component="p" key={a.text} sx={{ my: 1, color: 'text.secondary' }}>
          {a.text}
        </Box>
      ))}
    </>
  )
}

function Steps({ job, actions }: Props) {
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
