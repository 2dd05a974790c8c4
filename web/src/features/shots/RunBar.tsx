import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import { Refused, sentence } from '../../shared/api/client'
import type { ShotList, ShotRun, Take } from '../../shared/api/types'
import { typing, useKeys, writing } from '../../shared/ui/keys'
import { Trouble } from '../../shared/ui/Trouble'
import { clockText } from './clock'
import type { useShotRun } from './useShots'

interface Props {
  readonly list: ShotList
  readonly view: ShotRun
  readonly may: boolean
  readonly run: ReturnType<typeof useShotRun>
}

/** What is on air, what comes next and whether its camera is there. */
export function RunBar({ list, view, may, run }: Props) {
  const { step, again, end, stopAll } = run
  const onAir = list.takes.find((t) => t.id === view.at)
  const next = list.takes.find((t) => t.id === view.next)
  const notThere = step.error instanceof Refused && step.error.code === 'not-there'
  const go = (what: 'next' | 'skip' | 'back', anyway = false) =>
    step.mutate({ what, expected: view.next, anyway })
  useKeys((e) => {
    if (!may || e.ctrlKey || e.metaKey || e.altKey) return
    if (e.key === 'Escape' || (e.key === ' ' && !typing(e.target))) {
      e.preventDefault()
      stopAll.mutate()
    } else if (!writing(e.target) && !step.isPending) {
      if (e.key === 'n' && next) go('next', notThere)
      if (e.key === 'a' && onAir) again.mutate()
      if (e.key === 's' && next) go('skip')
      if (e.key === 'b') go('back')
    }
  })
  const error = step.error ?? again.error ?? end.error ?? stopAll.error
  return (
    <Paper sx={{ p: 2, mb: 2 }} data-run={view.state} aria-live="polite">
      <Box sx={{ display: 'flex', gap: 3, alignItems: 'stretch', flexWrap: 'wrap' }}>
        <Box sx={{ flex: 1, minWidth: 190 }}>
          <Box sx={{ color: 'text.secondary' }}>on air</Box>
          {onAir ? (
            <>
              <TakeWords take={onAir} />
              <Box className="mono">
                {clockText(view.elapsed)} of {clockText(onAir.until - onAir.start)}
              </Box>
            </>
          ) : (
            <Box sx={{ fontSize: '1.2rem' }}>nothing yet</Box>
          )}
        </Box>
        <Box sx={{ flex: 1.3, minWidth: 220 }}>
          <Box sx={{ color: 'text.secondary' }}>next</Box>
          {next ? (
            <>
              <TakeWords take={next} />
              <div>
                {next.cue && <>“{next.cue}” – </>}
                {sentWords(view, next)}
              </div>
            </>
          ) : (
            <Box sx={{ fontSize: '1.2rem' }}>the list is over</Box>
          )}
        </Box>
        {may && (
          <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}>
            <Button
              variant="contained"
              size="large"
              disabled={!next || step.isPending}
              onClick={() => go('next', notThere)}
              sx={{ fontSize: '1.25rem', px: 3 }}
            >
              {notThere ? 'Next anyway' : 'Next'} (n)
            </Button>
            <Button variant="outlined" disabled={!onAir || again.isPending} onClick={() => again.mutate()}>
              Again (a)
            </Button>
            <Button variant="outlined" disabled={!next || step.isPending} onClick={() => go('skip')}>
              Skip (s)
            </Button>
            <Button variant="outlined" disabled={step.isPending} onClick={() => go('back')}>
              Back (b)
            </Button>
            <Button variant="outlined" disabled={end.isPending} onClick={() => end.mutate()}>
              End
            </Button>
            <Button variant="contained" color="error" size="large" onClick={() => stopAll.mutate()}>
              STOP ALL
            </Button>
          </Box>
        )}
      </Box>
      <Box
        component="ul"
        aria-label="Cameras that are sent"
        sx={{ listStyle: 'none', p: 0, m: 0, mt: 1, display: 'flex', flexWrap: 'wrap', columnGap: 3 }}
      >
        {view.cameras.map((c) => (
          <Box
            component="li"
            key={c.device}
            data-sent={c.state}
            sx={c.state === 'there' || c.state === 'travels' ? {} : { color: 'error.main', fontWeight: 600 }}
          >
            {c.words}
          </Box>
        ))}
      </Box>
      {error && <Trouble>{sentence(error)}</Trouble>}
    </Paper>
  )
}

function TakeWords({ take }: { readonly take: Take }) {
  return (
    <Box sx={{ fontSize: '1.2rem' }}>
      <b>
        {take.number} · {take.camera}
      </b>{' '}
      {take.presetName || (take.preset === null ? 'by hand' : `preset ${take.called || take.preset}`)}
    </Box>
  )
}

/** Whether the camera of a take is there, in a few words. */
function sentWords(view: ShotRun, take: Take): string {
  const sent = view.cameras.find((c) => c.device === take.device)
  if (sent && sent.take === take.number) return sent.state === 'there' ? 'is there' : sent.words
  return take.device === view.onAirDevice ? 'is on air now' : 'stands as it is'
}
