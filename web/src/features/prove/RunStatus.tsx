import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import type { ReactNode } from 'react'
import { useEffect } from 'react'
import { sentence } from '../../shared/api/client'
import type { ProveView } from '../../shared/api/types'
import { RunProgress } from '../../shared/ui/RunProgress'
import { Trouble } from '../../shared/ui/Trouble'
import type { useProve } from './useProve'

interface Props {
  readonly view: ProveView
  readonly may: boolean
  readonly prove: ReturnType<typeof useProve>
}

/** What is done now, how far it is, and what an earlier run left behind. */
export function RunStatus({ view, may, prove }: Props) {
  const running = view.state === 'running'
  const { stopAll, cancel, putBack } = prove
  useStopKey(running && may, () => stopAll.mutate())
  const error = cancel.error ?? stopAll.error ?? putBack.error
  if (!running && view.left.length === 0 && view.state !== 'stopped') return null
  return (
    <Paper sx={{ p: 2, mb: 2 }} aria-live="polite" data-run={view.state}>
      {running && (
        <RunProgress
          doing={view.doing}
          done={view.done}
          count={view.count}
          of="tests"
          cancelWords="Cancel after this test"
          onCancel={cancel.isPending || !may ? undefined : () => cancel.mutate()}
        >
          <Button variant="contained" size="large" onClick={() => stopAll.mutate()} disabled={!may}>
            STOP ALL
          </Button>
        </RunProgress>
      )}
      {view.state === 'stopped' && (
        <Left>
          The tests of {view.person} were stopped after {view.done} of {view.count}:{' '}
          {view.why || 'its server fell silent'}.
        </Left>
      )}
      {!running && view.left.length > 0 && (
        <Left>
          Not put back yet: {view.left.map((l) => `${l.device} ${l.what}`).join(', ')}.{' '}
          <Button
            variant="outlined"
            size="small"
            disabled={putBack.isPending || !may}
            onClick={() => {
              if (window.confirm('Heads will move back to where they stood. Is it clear there?'))
                putBack.mutate()
            }}
          >
            Put it back …
          </Button>
        </Left>
      )}
      {error && <Trouble>{sentence(error)}</Trouble>}
    </Paper>
  )
}

function Left({ children }: { readonly children: ReactNode }) {
  return <Box sx={{ my: 0.5 }}>{children}</Box>
}

/** Space and Esc stop all while heads may move. */
function useStopKey(on: boolean, stop: () => void) {
  useEffect(() => {
    if (!on) return undefined
    const pressed = (e: KeyboardEvent) => {
      const typing = e.target instanceof HTMLInputElement || e.target instanceof HTMLTextAreaElement
      if (e.key === 'Escape' || (e.key === ' ' && !typing)) {
        e.preventDefault()
        stop()
      }
    }
    window.addEventListener('keydown', pressed, true)
    return () => window.removeEventListener('keydown', pressed, true)
  })
}
