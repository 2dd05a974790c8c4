import Box from '@mui/material/Box'
import Button from '@mui/material/Button'

interface Props {
  readonly what: string
  readonly theirs: string
  readonly yours: string
  readonly onTheirs: () => void
  readonly onYours: () => void
}

/** Two people changed one thing: both values, and the choice. Nothing is changed until one is taken. */
export function ConflictChoice({ what, theirs, yours, onTheirs, onYours }: Props) {
  return (
    <Box
      role="alertdialog"
      aria-label={`Two values for ${what}`}
      sx={{
        // Over what is below it, so that the table keeps its shape.
        position: 'absolute',
        top: '100%',
        left: 0,
        zIndex: 2,
        bgcolor: 'background.paper',
        border: '1px solid',
        borderColor: 'divider',
        borderLeft: '4px solid',
        borderLeftColor: 'error.main',
        borderRadius: 1,
        p: 1.5,
        width: 250,
        display: 'grid',
        gap: 0.75,
        typography: 'body2',
        whiteSpace: 'normal',
      }}
    >
      Somebody changed this while you typed. Which one stands?
      <Choice words="Keep theirs" value={theirs} onTake={onTheirs} />
      <Choice words="Put mine" value={yours} onTake={onYours} />
    </Box>
  )
}

function Choice(props: { readonly words: string; readonly value: string; readonly onTake: () => void }) {
  return (
    <Button
      variant="outlined"
      onClick={props.onTake}
      sx={{ justifyContent: 'space-between', gap: 1, px: 1.25, whiteSpace: 'nowrap' }}
    >
      {props.words}
      <span className="mono">{props.value || 'none'}</span>
    </Button>
  )
}
