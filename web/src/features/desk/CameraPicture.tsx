import Box from '@mui/material/Box'
import { memo } from 'react'
import type { DeskCamera, Job } from '../../shared/api/types'
import { DroppedPicture } from './DroppedPicture'
import { OldPicture } from './OldPicture'
import { useStill } from './useStill'

const APART_MILLIS = 250

interface Props {
  readonly job: Job
  readonly camera: DeskCamera | undefined
}

/** What the taken camera sees, fetched through the server. */
export const CameraPicture = memo(function CameraPicture({ job, camera }: Props) {
  const { image, shown, old, trouble } = useStill(job.id, camera?.id ?? 0, APART_MILLIS)
  return (
    <Box
      sx={{
        aspectRatio: '16 / 9',
        bgcolor: '#2A3036',
        color: '#E9E4D8',
        borderRadius: '6px',
        overflow: 'hidden',
        display: 'grid',
        placeItems: 'center',
        '& > *': { gridArea: '1 / 1' },
      }}
    >
      <img
        ref={image}
        alt={camera ? `What ${camera.name} sees` : ''}
        style={{ width: '100%', display: 'block', visibility: shown ? 'visible' : 'hidden' }}
      />
      {old && <OldPicture />}
      {!shown && trouble !== '' && camera && (
        <DroppedPicture key={camera.id} job={job} camera={camera} why={trouble} />
      )}
      {!shown && (trouble === '' || !camera) && (
        <Box sx={{ p: 2, textAlign: 'center' }}>
          {camera ? `Fetching what ${camera.name} sees …` : 'No camera is taken'}
        </Box>
      )}
    </Box>
  )
})
