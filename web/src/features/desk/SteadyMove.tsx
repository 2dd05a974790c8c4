import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import { memo, useState } from 'react'
import type { Place } from './place'
import { placeOf, placeWords } from './place'
import type { PositionStore } from './positions'

interface Props {
  readonly positions: PositionStore
  readonly going: boolean
  readonly onGo: (to: Place, seconds: number) => void
  readonly onEnd: () => void
}

const NAMES = ['A', 'B'] as const

/** A steady move between two marked places in a wanted time; it ends when this page goes silent. */
export const SteadyMove = memo(function SteadyMove({ positions, going, onGo, onEnd }: Props) {
  const [marks, setMarks] = useState<Partial<Record<(typeof NAMES)[number], Place>>>({})
  const [typed, setTyped] = useState('10')
  const seconds = Number(typed)
  const wrong = !(seconds > 0 && seconds <= 3600)
  const mark = (name: (typeof NAMES)[number]) => {
    const at = positions.now()
    if (at) setMarks({ ...marks, [name]: placeOf(at) })
  }
  return (
    <Box component="section" aria-label="Steady move" sx={{ mt: 1.5 }}>
      <Box component="h2" sx={{ typography: 'h2', m: 0 }}>
        Steady move between two places
      </Box>
      <Box sx={{ display: 'flex', alignItems: 'center', flexWrap: 'wrap', gap: 1, mt: 0.75 }}>
        {NAMES.map((name) => (
          <Button key={name} variant="outlined" onClick={() => mark(name)}>
            {marks[name] ? `${name}: ${placeWords(marks[name])}` : `Mark ${name} here`}
          </Button>
        ))}
        <TextField
          label="In seconds"
          value={typed}
          onChange={(e) => setTyped(e.target.value)}
          error={wrong}
          helperText={wrong ? '0.1 to 3600' : undefined}
          size="small"
          sx={{ width: 110 }}
          slotProps={{ htmlInput: { inputMode: 'decimal' } }}
        />
        {going ? (
          <Button variant="contained" onClick={onEnd}>
            End it
          </Button>
        ) : (
          NAMES.map((name) => {
            const to = marks[name]
            return (
              <Button
                key={name}
                variant="contained"
                disabled={!to || wrong}
                onClick={() => to && onGo(to, seconds)}
              >
                Go to {name}
              </Button>
            )
          })
        )}
      </Box>
      <Box sx={{ color: 'text.secondary', fontSize: '0.88rem', mt: 0.5 }}>
        The speed is worked out from the time; a stick that is pushed has the head again. Close or leave this
        page and it stops.
      </Box>
    </Box>
  )
})
