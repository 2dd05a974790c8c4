import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { memo } from 'react'
import type { DeskCamera } from '../../shared/api/types'
import { StateMark } from '../../shared/ui/StateMark'

interface Props {
  readonly cameras: readonly DeskCamera[]
  readonly taken: number
  readonly onTake: (camera: number) => void
}

/** One tab a camera: its number, its name, what stands of it; a filled bar with words when it is on air. */
export const CameraKeys = memo(function CameraKeys({ cameras, taken, onTake }: Props) {
  return (
    <Box
      role="group"
      aria-label="Cameras"
      sx={{
        display: 'grid',
        gap: 0.75,
        gridTemplateColumns: 'repeat(auto-fill, minmax(78px, 1fr))',
        maxHeight: 124,
        overflow: 'auto',
      }}
    >
      {cameras.map((c) => (
        <Button
          key={c.id}
          variant={c.id === taken ? 'contained' : 'outlined'}
          aria-pressed={c.id === taken}
          onClick={(e) => {
            // Space must stop, not press this key again.
            e.currentTarget.blur()
            onTake(c.id)
          }}
          title={c.cannot || c.through}
          sx={{
            minWidth: 0,
            minHeight: 56,
            flexDirection: 'column',
            justifyContent: 'flex-start',
            px: 0.5,
            py: 0.25,
            lineHeight: 1.25,
            overflow: 'hidden',
            borderBottomLeftRadius: 0,
            borderBottomRightRadius: 0,
          }}
        >
          {c.onAir && (
            <Box
              component="span"
              sx={{
                alignSelf: 'stretch',
                mx: -0.5,
                mt: -0.25,
                bgcolor: 'text.primary',
                color: 'background.default',
                fontSize: '0.86rem',
              }}
            >
              on air
            </Box>
          )}
          <span>
            <span className="mono" style={{ fontSize: '1.25rem' }}>
              {c.number}
            </span>{' '}
            {c.name}
          </span>
          <Box
            component="span"
            sx={{
              fontWeight: 400,
              fontSize: '0.88rem',
              maxWidth: 1,
              overflow: 'hidden',
              textOverflow: 'ellipsis',
              whiteSpace: 'nowrap',
            }}
          >
            {c.heldBy && c.id !== taken ? `${c.heldBy.split(' ')[0]} drives` : what(c)}
          </Box>
        </Button>
      ))}
    </Box>
  )
})

/** That it is dark, else how far it is proved; why, and what stands between, the camera says when it is taken. */
function what(c: DeskCamera) {
  return c.cannot ? 'no way' : <StateMark mark={c.mark} />
}
