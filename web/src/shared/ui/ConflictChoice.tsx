import Box from '@mui/material/Box'
import Button from '@mui/material/Button'

interface Props {
  readonly what: string
  readonly theirs: string
  readonly yours: string
  readonly onTheirs: () => void
  readonly onYours: () => void
}

/** Two people changed one thing: both values, and the choice. */
export function ConflictChoice({ what, theirs, yours, onTheirs, onYours }: Props) {
  return (
    <Box
      role="alertdialog"
      aria-label={`Two values for ${what}`}
      sx={{ borderLeft: '4px solid', borderColor: 'error.main', pl: 1.5, py: 0.5, my: 0.5, minWidth: 240 }}
    >
      <Box sx={{ fontFamily: 'body1.fontFamily' }}>Somebody changed this while you typed.</Box>
      <Value name="Theirs" value={theirs} take="Keep theirs" onTake={onTheirs} />
      <Value name="Yours" value={yours} take="Put mine" onTake={onYours} />
    </Box>
  )
}

function Value(props: {
  readonly name: string
  readonly value: string
  readonly take: string
  readonly onTake: () => void
}) {
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, mt: 0.5 }}>
      <Box sx={{ width: 56, color: 'text.secondary' }}>{props.name}</Box>
      <Box className="mono" sx={{ flex: 1, fontWeight: 600 }}>
        {props.value || 'none'}
      </Box>
      <Button size="small" variant="outlined" onClick={props.onTake}>
        {props.take}
      </Button>
    </Box>
  )
}
