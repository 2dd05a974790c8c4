import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import type { Desk } from '../../shared/api/types'
import type { DeskState } from './deskState'

interface Props {
  readonly desk: Desk
  readonly state: DeskState
  /** Whoever leads the job need not wait. */
  readonly leads: boolean
  readonly onAsk: (camera: number) => void
  readonly onKeep: () => void
}

/** A camera goes from one driver to another: asked for here, or asked of whoever drives here. */
export function TakeOver({ desk, state, leads, onAsk, onKeep }: Props) {
  const name = (id: number) => desk.cameras.find((c) => c.id === id)?.name ?? 'it'
  if (state.asked && state.taken !== 0) {
    return (
      <Box role="alert" sx={{ border: 2, borderColor: 'primary.main', borderRadius: 1, p: 1.25, mb: 1 }}>
        <b>
          {state.asked.by} asks for {name(state.taken)}.
        </b>{' '}
        It is stopped and given in {state.asked.seconds} s.{' '}
        <Button variant="contained" onClick={onKeep} sx={{ ml: 1 }}>
          Keep it
        </Button>
      </Box>
    )
  }
  if (state.waitingFor !== 0) {
    return (
      <Box role="status" sx={{ mb: 1 }}>
        {name(state.waitingFor)} was asked for. Its driver has 10 s to keep it; then it is yours.
      </Box>
    )
  }
  if (state.askable === 0) return null
  return (
    <Button variant="outlined" onClick={() => onAsk(state.askable)} sx={{ mb: 1 }}>
      {leads ? `Take ${name(state.askable)} over now` : `Ask for ${name(state.askable)}`}
    </Button>
  )
}
