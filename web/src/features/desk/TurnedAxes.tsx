import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { editing } from '../../shared/api/changes'
import { put, sentence } from '../../shared/api/client'
import { useAskedFirst } from '../../shared/api/job'
import type { DeskCamera, Job } from '../../shared/api/types'
import { Trouble } from '../../shared/ui/Trouble'
import { useOrientation } from '../told'

interface Props {
  readonly job: Job
  readonly camera: DeskCamera
}

/** Which way a push goes: turned round here for a head that hangs the other way, whoever drives it. */
export function TurnedAxes({ job, camera }: Props) {
  const { pan, tilt } = camera.turned
  const there = useOrientation(job, camera.id)
  const edit = (field: string, from: boolean, to: boolean) =>
    from === to ? [] : [{ item: 'device', id: camera.id, field, before: String(from), after: String(to) }]
  const set = useAskedFirst(
    job.id,
    (to: DeskCamera['turned']) =>
      editing(...edit('panRound', pan, to.pan), ...edit('tiltRound', tilt, to.tilt)),
    (to) => put<void>(`/api/jobs/${job.id}/desk/${camera.id}/turned`, to),
  )
  return (
    <Box role="group" aria-label="Which way it turns" sx={{ fontSize: '0.92rem', mt: 1 }}>
      Stick right → head {pan ? 'left' : 'right'}, stick up → head {tilt ? 'down' : 'up'}. If the picture goes
      the other way, turn it round here <i>or</i> at the camera, never at both. {there.words}
      {((pan && there.pan) || (tilt && there.tilt)) && (
        <Trouble>Turned round twice, here and at the camera: it goes the wrong way again. Undo one.</Trouble>
      )}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5, mt: 0.5 }}>
        <Button
          size="small"
          variant={pan ? 'contained' : 'outlined'}
          aria-pressed={pan}
          disabled={set.isPending || (there.pan && !pan)}
          onClick={() => set.mutate({ pan: !pan, tilt })}
        >
          Pan round
        </Button>
        <Button
          size="small"
          variant={tilt ? 'contained' : 'outlined'}
          aria-pressed={tilt}
          disabled={set.isPending || (there.tilt && !tilt)}
          onClick={() => set.mutate({ pan, tilt: !tilt })}
        >
          Tilt round
        </Button>
      </Box>
      {set.error && <Trouble>{sentence(set.error)}</Trouble>}
    </Box>
  )
}
