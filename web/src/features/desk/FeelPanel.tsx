import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Slider from '@mui/material/Slider'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import { memo, useState } from 'react'
import { del, put, sentence } from '../../shared/api/client'
import type { Desk, Feel, Job } from '../../shared/api/types'
import { Trouble } from '../../shared/ui/Trouble'

interface Knob {
  readonly of:
    'deadZone' | 'k' | 'rampSeconds' | 'pan' | 'tilt' | 'zoom' | 'focus' | 'recall' | 'crossingSeconds'
  readonly words: string
  readonly least: number
  readonly most: number
  readonly step: number
  readonly say: (value: number) => string
}

/** Only what a person sets. */
const wish = (f: Feel) => Object.fromEntries(KNOBS.map((k) => [k.of, f[k.of]]))

const percent = (v: number) => `${Math.round(v * 100)} %`
const seconds = (none: string) => (v: number) => (v === 0 ? none : `${v} s`)

const KNOBS: readonly Knob[] = [
  { of: 'pan', words: 'Pan at most', least: 0.05, most: 1, step: 0.05, say: percent },
  { of: 'tilt', words: 'Tilt at most', least: 0.05, most: 1, step: 0.05, say: percent },
  { of: 'zoom', words: 'Zoom at most', least: 0.05, most: 1, step: 0.05, say: percent },
  { of: 'focus', words: 'Focus at most', least: 0.05, most: 1, step: 0.05, say: percent },
  { of: 'recall', words: 'Way to a preset at most', least: 0.05, most: 1, step: 0.05, say: percent },
  {
    of: 'k',
    words: 'Bend of the law',
    least: 0,
    most: 10,
    step: 0.5,
    say: (v) => (v === 0 ? '0: linear' : `${v}`),
  },
  { of: 'deadZone', words: 'Dead zone', least: 0, most: 0.5, step: 0.01, say: percent },
  { of: 'rampSeconds', words: 'Up to full speed in', least: 0, most: 3, step: 0.1, say: seconds('at once') },
  {
    of: 'crossingSeconds',
    words: 'Picture crosses in at least',
    least: 0,
    most: 20,
    step: 1,
    say: seconds('no care'),
  },
]

interface Props {
  readonly job: Job
  readonly feel: Feel
}

/** How the cameras of one kind answer this person's stick; kept, and in force at once. */
export const FeelPanel = memo(function FeelPanel({ job, feel }: Props) {
  const queries = useQueryClient()
  const path = `/api/jobs/${job.id}/desk/feels/${feel.profile}`
  const [shown, setShown] = useState<Partial<Feel>>({})
  const keep = (kept: Feel) => {
    queries.setQueriesData<Desk>({ queryKey: ['desk', job.id] }, (desk) =>
      desk ? { ...desk, feels: desk.feels.map((f) => (f.profile === kept.profile ? kept : f)) } : desk,
    )
  }
  // One after the other, so that the last one told is the one that stays.
  const scope = { id: path }
  const set = useMutation({ scope, mutationFn: (to: Feel) => put<Feel>(path, wish(to)), onSuccess: keep })
  const usual = useMutation({
    scope,
    mutationFn: () => del<Feel>(path),
    onSuccess: (kept) => {
      setShown({})
      keep(kept)
    },
  })
  const error = set.error ?? usual.error
  return (
    <Box component="section" aria-label="How it answers" sx={{ mt: 1.5 }}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 2 }}>
        <Box component="h2" sx={{ typography: 'h2', m: 0 }}>
          How it answers you
        </Box>
        {feel.own ? (
          <Button size="small" onClick={() => usual.mutate()}>
            As the house likes it
          </Button>
        ) : (
          <Box sx={{ color: 'text.secondary' }}>as the house likes it</Box>
        )}
      </Box>
      <Box sx={{ color: 'text.secondary', fontSize: '0.88rem' }}>
        Kept for you, for every camera of this kind: {feel.profile}
      </Box>
      {error && <Trouble>{sentence(error)}</Trouble>}
      <Box
        sx={{
          display: 'grid',
          mt: 0.5,
        }}
      >
        {KNOBS.filter((k) => k.of !== 'recall' || feel.recallSteps !== null).map((k) => {
          const value = shown[k.of] ?? feel[k.of]
          return (
            <Box key={k.of}>
              <Box sx={{ display: 'flex', justifyContent: 'space-between' }}>
                <span>{k.words}</span>
                <b>{k.say(value)}</b>
              </Box>
              <Slider
                size="small"
                aria-label={`${k.words}: ${k.say(value)}`}
                value={value}
                min={k.least}
                max={k.most}
                step={k.step}
                onChange={(_, v) => setShown({ ...shown, [k.of]: v })}
                onChangeCommitted={(_, v) => set.mutate({ ...feel, ...shown, [k.of]: v })}
              />
            </Box>
          )
        })}
      </Box>
    </Box>
  )
})
