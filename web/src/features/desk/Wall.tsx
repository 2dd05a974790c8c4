import Box from '@mui/material/Box'
import ButtonBase from '@mui/material/ButtonBase'
import { memo } from 'react'
import type { DeskCamera } from '../../shared/api/types'
import { droppedPath, useDropped } from './useDropped'
import { OldPicture } from './OldPicture'
import { useStill } from './useStill'
import { onWall } from './wall'
import type { WallSize } from './wall'

const APART_MILLIS = 500

interface Props {
  readonly job: number
  readonly cameras: readonly DeskCamera[]
  readonly size: WallSize
  readonly taken: number
  readonly onTake: (camera: number) => void
}

/** What several cameras see, twice a second; pressed, one is taken. */
export const Wall = memo(function Wall({ job, cameras, size, taken, onTake }: Props) {
  const shown = onWall(cameras, size, taken)
  return (
    <Box
      component="section"
      aria-label="Wall"
      sx={{
        display: 'grid',
        gap: 1,
        gridTemplateColumns:
          size === 'four' ? 'repeat(2, minmax(0, 1fr))' : 'repeat(auto-fill, minmax(150px, 1fr))',
      }}
    >
      {shown.map((c) => (
        <Tile key={c.id} job={job} camera={c} chosen={c.id === taken} onTake={onTake} />
      ))}
    </Box>
  )
})

interface TileProps {
  readonly job: number
  readonly camera: DeskCamera
  readonly chosen: boolean
  readonly onTake: (camera: number) => void
}

const Tile = memo(function Tile({ job, camera: c, chosen, onTake }: TileProps) {
  const { image, shown, old, trouble } = useStill(job, c.id, APART_MILLIS)
  const given = useDropped(job, c.id, trouble !== '')
  return (
    <ButtonBase
      aria-label={`Take ${c.key} ${c.name}${c.onAir ? ' on air' : ''}`}
      aria-current={chosen}
      onClick={(e) => {
        // Space must stop, not press this again.
        e.currentTarget.blur()
        onTake(c.id)
      }}
      sx={{
        display: 'block',
        textAlign: 'left',
        typography: 'body1',
        lineHeight: 1.3,
        bgcolor: '#2A3036',
        color: '#E9E4D8',
        borderRadius: '6px',
        overflow: 'hidden',
        outline: chosen ? '4px solid' : '1px solid',
        outlineColor: (t) => (chosen ? t.palette.primary.main : t.palette.divider),
      }}
    >
      <Box
        sx={{
          display: 'flex',
          gap: 1,
          px: 1,
          alignItems: 'baseline',
          bgcolor: c.onAir ? '#B3211B' : undefined,
        }}
      >
        <span className="mono" style={{ fontSize: '1.15rem' }}>
          {c.key}
        </span>
        <b>{c.name}</b>
        {c.onAir && <span>on air</span>}
      </Box>
      <Box
        sx={{ aspectRatio: '16 / 9', display: 'grid', placeItems: 'center', '& > *': { gridArea: '1 / 1' } }}
      >
        <img
          ref={image}
          alt={`What ${c.name} sees`}
          style={{ width: '100%', display: 'block', visibility: shown ? 'visible' : 'hidden' }}
        />
        {old && <OldPicture />}
        {!shown && given && (
          <Box sx={{ position: 'relative', width: 1, height: 1 }}>
            <img
              src={droppedPath(job, c.id, given.at)}
              alt={`Picture that was dropped for ${c.name}`}
              style={{ width: '100%', height: '100%', objectFit: 'contain', display: 'block' }}
            />
            <Box
              sx={{
                position: 'absolute',
                bottom: 0,
                px: 1,
                fontSize: '0.84rem',
                bgcolor: 'rgba(20,24,28,0.86)',
              }}
            >
              Not live: dropped by {given.by}
            </Box>
          </Box>
        )}
        {!shown && !given && (
          <Box sx={{ p: 1, fontSize: '0.84rem', maxHeight: 1, overflow: 'hidden' }}>
            {trouble || 'Fetching its picture …'}
          </Box>
        )}
      </Box>
    </ButtonBase>
  )
})
