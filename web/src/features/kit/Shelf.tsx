import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import ButtonBase from '@mui/material/ButtonBase'
import Paper from '@mui/material/Paper'
import TextField from '@mui/material/TextField'
import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { memo, useState } from 'react'
import type { KeyboardEvent } from 'react'
import { rights } from '../../shared/api/changes'
import { get, post, sentence } from '../../shared/api/client'
import { jobKeys, showChange } from '../../shared/api/job'
import type { Job, JobPatch, ShelfProfile } from '../../shared/api/types'
import { Trouble } from '../../shared/ui/Trouble'
import { useSteady } from '../../shared/ui/useSteady'
import { found, howMany } from './howMany'
import { counted } from '../../shared/format/counted'

/** The shelf, read anew only when the job's own profiles have changed. */
export const useShelf = (job: Job) =>
  useQuery({
    queryKey: [...jobKeys.shelf(job.id), job.ownProfiles],
    queryFn: () => get<ShelfProfile[]>(`/api/jobs/${job.id}/profiles`),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  })

interface Props {
  readonly job: Job
  readonly onFacts: (profile: string) => void
  readonly onImport: () => void
}

/** Every profile, found by a few letters; adding is "how many of what", by keyboard or by click. */
export function Shelf({ job, onFacts, onImport }: Props) {
  const [typed, setTyped] = useState('')
  const [pointed, setPointed] = useState(0)
  const queries = useQueryClient()
  const shelf = useShelf(job)
  const { count, words } = howMany(typed)
  const shown = found(shelf.data ?? [], words)
  const at = Math.min(pointed, shown.length - 1)
  // What was asked for leaves the field at once, so that the next can be typed; it comes back if refused.
  const add = useMutation({
    mutationFn: (wanted: { profile: string; count: number; typed: string }) =>
      post<JobPatch>(`/api/jobs/${job.id}/kit`, { profile: wanted.profile, count: wanted.count }),
    onError: (_, wanted) => setTyped((now) => now || wanted.typed),
    onSuccess: (view) => showChange(queries, view),
  })
  const ask = useSteady((profile: string) => {
    add.mutate({ profile, count, typed })
    setTyped('')
    setPointed(0)
  })
  const may = rights(job).plan
  const onKey = (e: KeyboardEvent) => {
    const chosen = shown[at]
    if (e.key === 'ArrowDown') setPointed(Math.min(shown.length - 1, at + 1))
    else if (e.key === 'ArrowUp') setPointed(Math.max(0, at - 1))
    else if (e.key === 'Enter' && chosen && may && words.length > 0) ask(chosen.id)
    else return
    e.preventDefault()
  }
  return (
    <Paper
      component="section"
      aria-label="Shelf"
      sx={{
        p: 1.5,
        display: 'flex',
        flexDirection: 'column',
        minHeight: 0,
        maxHeight: { xs: 420, md: 'none' },
      }}
    >
      <TextField
        id="how-many"
        fullWidth
        label={may ? 'How many of what' : 'Find a profile'}
        placeholder="6 ceiling ptz"
        helperText={may ? 'Enter adds what is marked; arrows move the mark' : undefined}
        value={typed}
        onChange={(e) => {
          setTyped(e.target.value)
          setPointed(0)
        }}
        onKeyDown={onKey}
        slotProps={{ htmlInput: { spellCheck: false, autoComplete: 'off' } }}
      />
      {add.error && <Trouble>{sentence(add.error)}</Trouble>}
      {shelf.error && <Trouble>{sentence(shelf.error)}</Trouble>}
      {shelf.data && shown.length === 0 && <p>No profile goes by that. Fewer letters find more.</p>}
      <Box component="ul" sx={{ listStyle: 'none', m: 0, mt: 1, p: 0, pr: 1, overflow: 'auto', flex: 1 }}>
        {shown.map((p, i) => (
          <OnShelf
            key={p.id}
            profile={p}
            marked={i === at && words.length > 0}
            count={may ? count : 0}
            onAdd={ask}
            onFacts={onFacts}
          />
        ))}
      </Box>
      {may && (
        <Button size="small" onClick={onImport} sx={{ mt: 1, alignSelf: 'start' }}>
          Profile from a file …
        </Button>
      )}
    </Paper>
  )
}

interface ItemProps {
  readonly profile: ShelfProfile
  readonly marked: boolean
  /** How many a click adds; 0 when this person may not. */
  readonly count: number
  readonly onAdd: (profile: string) => void
  readonly onFacts: (profile: string) => void
}

/** Drawn again when it is marked or another number is asked for, not with each change of the job. */
const OnShelf = memo(function OnShelf({ profile, marked, count, onAdd, onFacts }: ItemProps) {
  const facts = [
    profile.own !== null && 'of this job',
    profile.factoryAddress,
    profile.keys !== null && counted(profile.keys, 'key', 'keys'),
  ].filter(Boolean)
  return (
    <Box
      component="li"
      data-profile={profile.id}
      data-marked={marked ? '' : undefined}
      sx={{
        borderTop: '1px solid',
        borderColor: 'divider',
        py: 0.5,
        pl: marked ? 1 : 0,
        borderLeft: marked ? '4px solid' : undefined,
        borderLeftColor: 'primary.main',
      }}
    >
      <Box sx={{ display: 'flex', alignItems: 'baseline', justifyContent: 'space-between', gap: 1 }}>
        <ButtonBase
          sx={{ font: 'inherit', textAlign: 'left', lineHeight: 1.2, minHeight: 24 }}
          onClick={() => onFacts(profile.id)}
          aria-label={`Facts of ${profile.name}`}
          title="Facts"
        >
          {profile.name}
        </ButtonBase>
        {count > 0 && (
          <Button
            size="small"
            sx={{ minHeight: 26, minWidth: 0, px: 0.5, py: 0, whiteSpace: 'nowrap', flexShrink: 0 }}
            onClick={() => onAdd(profile.id)}
            aria-label={`Add ${count} ${profile.name}`}
          >
            Add {count}
          </Button>
        )}
      </Box>
      <Box className="mono" sx={{ color: 'text.secondary', fontSize: '0.82rem' }}>
        {facts.join(', ')}
      </Box>
    </Box>
  )
})
