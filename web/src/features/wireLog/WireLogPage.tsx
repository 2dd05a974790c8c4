import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Checkbox from '@mui/material/Checkbox'
import FormControlLabel from '@mui/material/FormControlLabel'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import { useState } from 'react'
import { useSearchParams } from 'react-router'
import { rights } from '../../shared/api/changes'
import { sentence } from '../../shared/api/client'
import type { HeadHealth, Job } from '../../shared/api/types'
import { Page } from '../../shared/ui/Page'
import { Trouble } from '../../shared/ui/Trouble'
import { typing, useKeys } from '../../shared/ui/keys'
import { FrameForm } from './FrameForm'
import { FrameLine } from './FrameLine'
import { fits, folded } from './folded'
import { useWireLog } from './useWireLog'

/** The most lines drawn at once; the rest is in the exports. */
const SHOWN = 300

/** What went over the wires of this job's heads, decoded; followed, held, filtered, taken along. */
export function WireLogPage({ job }: { readonly job: Job }) {
  const [params, setParams] = useSearchParams()
  const device = Number(params.get('device') ?? 0)
  const [text, setText] = useState('')
  const [polling, setPolling] = useState(false)
  const [following, setFollowing] = useState(true)
  const { frames, heads, error, read } = useWireLog(job, polling, following)
  useKeys((e) => {
    if (e.key === 'p' && !typing(e.target) && !e.ctrlKey && !e.metaKey && !e.altKey) {
      e.preventDefault()
      setFollowing((on) => !on)
    }
  })
  const shown = [...folded(frames.filter((f) => fits(f, { device, text })))].reverse()
  const of = device === 0 ? '' : `?device=${device}`
  return (
    <Page
      title="Wire log"
      job={job}
      keys={[['p', 'pause, or follow again']]}
      actions={
        <>
          <Button component="a" href={`/api/jobs/${job.id}/wire/capture.pcapng${of}`} download>
            pcapng
          </Button>
          <Button component="a" href={`/api/jobs/${job.id}/wire/log.csv${of}`} download>
            CSV
          </Button>
        </>
      }
    >
      {error && <Trouble>{sentence(error)}</Trouble>}
      <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'center' }}>
        <TextField
          select
          label="Head"
          value={heads.some((h) => h.device === device) ? device : 0}
          onChange={(e) => setParams(e.target.value === '0' ? {} : { device: e.target.value })}
          sx={{ minWidth: 150 }}
          slotProps={{ select: { native: false } }}
        >
          <MenuItem value={0}>All heads</MenuItem>
          {heads.map((h) => (
            <MenuItem key={h.device} value={h.device}>
              {h.name}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          label="Words or octets"
          value={text}
          onChange={(e) => setText(e.target.value)}
          sx={{ minWidth: 190 }}
        />
        <FormControlLabel
          control={<Checkbox checked={polling} onChange={(e) => setPolling(e.target.checked)} />}
          label="with position read-back"
        />
        <Button variant="outlined" onClick={() => setFollowing(!following)} aria-pressed={!following}>
          {following ? 'Pause (P)' : 'Follow again (P)'}
        </Button>
      </Box>
      <Healths heads={heads.filter((h) => device === 0 || h.device === device)} />
      {rights(job).manage && <FrameForm job={job} device={device} />}
      {read && frames.length === 0 && (
        <p>
          Nothing has gone out or come in yet. Take a camera at the Desk, or check a step of Bring-up; what
          this server sends and hears stands here, the last 1,000 frames of each head.
        </p>
      )}
      {frames.length > 0 && shown.length === 0 && <p>No frame fits. Clear the filter to see all.</p>}
      {frames.length > 0 && (
        <Box sx={{ color: 'text.secondary', fontSize: '0.92rem' }}>
          Newest first; times are UTC; → sent by this server, ← heard from the head.
        </Box>
      )}
      <Box component="section" aria-label="Frames" sx={{ mt: 1 }}>
        {shown.slice(0, SHOWN).map((f) => (
          <FrameLine key={`${f.first.seconds} ${f.first.device} ${f.first.sent}`} fold={f} />
        ))}
      </Box>
      {shown.length > SHOWN && <p>{shown.length - SHOWN} older lines are in the exports.</p>}
    </Page>
  )
}

const STATES: Readonly<Record<string, string>> = {
  up: '● up',
  slow: '◐ slow',
  lost: '▲ lost',
  unknown: '○ not answered yet',
  closed: '○ link closed',
}

/** How each link is, and within what half of its answers came. */
function Healths({ heads }: { readonly heads: readonly HeadHealth[] }) {
  return (
    <Box
      component="section"
      aria-label="Links"
      sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', my: 1, fontSize: '0.92rem' }}
    >
      {heads.map((h) => (
        <span key={h.device}>
          <b>{h.name}</b> {STATES[h.state] ?? h.state}
          {h.why && `: ${h.why}`}
          {h.state !== 'closed' && half(h.answers)}
          {h.missed > 0 && `, ${h.missed} given up`}
        </span>
      ))}
    </Box>
  )
}

/** The bound under which half of the answers came, of less than 1, 2, 4 ... 1,024 ms. */
function half(answers: readonly number[]): string {
  const all = answers.reduce((sum, n) => sum + n, 0)
  let sum = 0
  for (const [i, n] of answers.entries()) {
    sum += n
    if (all > 0 && 2 * sum >= all) return `, half of ${all} answers within ${2 ** i} ms`
  }
  return ''
}
