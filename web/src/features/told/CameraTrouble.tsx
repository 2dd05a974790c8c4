import Button from '@mui/material/Button'
import { rights } from '../../shared/api/changes'
import type { Job, ToldView } from '../../shared/api/types'
import { Trouble } from '../../shared/ui/Trouble'
import { nothingRead } from './knobs'
import type { useKnobs } from './useTold'

interface Props {
  readonly job: Job
  readonly view: ToldView
  readonly knobs: ReturnType<typeof useKnobs>
}

/** Why a camera was not told what was asked; another certificate can be accepted by a lead, here. */
export function CameraTrouble({ job, view, knobs }: Props) {
  const trouble = knobs.troubles[view.device]
  const unread = nothingRead(knobs.readings[view.device])
  const words = trouble?.sentence ?? unread?.trouble
  if (!words) return null
  const certificate = (trouble?.code ?? unread?.code) === 'other-certificate'
  const locked = (trouble?.code ?? unread?.code) === 'not-let-in'
  return (
    <Trouble>
      {words}
      {locked && (
        <Button sx={{ ml: 1 }} onClick={knobs.readAgain}>
          Read again
        </Button>
      )}
      {certificate && rights(job).manage && (
        <Button sx={{ ml: 1 }} onClick={() => void knobs.acceptCertificate(view.device)}>
          Accept its new certificate
        </Button>
      )}
    </Trouble>
  )
}
