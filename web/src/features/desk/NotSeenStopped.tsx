import Box from '@mui/material/Box'
import Button from '@mui/material/Button'

interface Props {
  readonly name: string
  readonly why: string
  readonly onStop: () => void
}

/** The loudest thing this desk can say: a head may be moving and nothing more can be done from here. */
export function NotSeenStopped({ name, why, onStop }: Props) {
  return (
    <Box
      role="alert"
      sx={{
        mt: 1.5,
        p: 2,
        bgcolor: '#B3211B',
        color: '#FFFFFF',
        border: '4px solid #FFFFFF',
        outline: '4px solid #B3211B',
        borderRadius: 1,
      }}
    >
      <Box sx={{ fontSize: '1.9rem', fontWeight: 700, lineHeight: 1.2 }}>▲ {name} was not seen stopped</Box>
      <Box sx={{ fontSize: '1.15rem', mt: 0.5 }}>
        The stop ({why}) is sent again and again, but the head does not say that it stands. Look at it, keep
        people and cables clear, and cut its power if it moves.
      </Box>
      <Button
        variant="contained"
        onClick={onStop}
        sx={{ mt: 1, minHeight: 48, bgcolor: '#FFFFFF', color: '#8E1A15', '&:hover': { bgcolor: '#F5E3E2' } }}
      >
        STOP ALL again (Space)
      </Button>
    </Box>
  )
}
