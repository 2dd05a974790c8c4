import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import TextField from '@mui/material/TextField'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { rights } from '../../shared/api/changes'
import { get, post, sentence } from '../../shared/api/client'
import { showJob } from '../../shared/api/job'
import type { Job, ShelfProfile } from '../../shared/api/types'
import { Trouble } from '../../shared/ui/Trouble'

/** Every profile, found by a few letters; adding is "how many of what". */
export function Shelf({ job }: { readonly job: Job }) {
  const [wanted, setWanted] = useState('')
  const shelf = useQuery({
    queryKey: ['profiles'],
    queryFn: () => get<ShelfProfile[]>('/api/profiles'),
    staleTime: Infinity,
  })
  const words = wanted.trim().toLowerCase().split(/\s+/)
  const shown =
    shelf.data?.filter((p) => words.every((w) => `${p.name} ${p.kind}`.toLowerCase().includes(w))) ?? []
  return (
    <Paper sx={{ p: 1.5, alignSelf: 'start' }} component="section" aria-label="Shelf">
      <TextField
        fullWidth
        label="Find a profile"
        value={wanted}
        onChange={(e) => setWanted(e.target.value)}
      />
      {shelf.error && <Trouble>{sentence(shelf.error)}</Trouble>}
      {shelf.data && shown.length === 0 && <p>No profile goes by that.</p>}
      {shown.map((p) => (
        <OnShelf key={p.id} job={job} profile={p} />
      ))}
    </Paper>
  )
}

function OnShelf({ job, profile }: { readonly job: Job; readonly profile: ShelfProfile }) {
  const queries = useQueryClient()
  const [count, setCount] = useState('1')
  const add = useMutation({
    mutationFn: () => post<Job>(`/api/jobs/${job.id}/kit`, { profile: profile.id, count: Number(count) }),
    onSuccess: async (view) => {
      setCount('1')
      await showJob(queries, view)
    },
  })
  const facts = [
    profile.factoryAddress && `factory ${profile.factoryAddress}`,
    `boots in ${profile.bootSeconds} s`,
    profile.keys > 0 && `${profile.keys} keys${profile.counting ? ', counting' : ''}`,
  ].filter(Boolean)
  return (
    <Box
      component="form"
      data-profile={profile.id}
      onSubmit={(e) => {
        e.preventDefault()
        add.mutate()
      }}
      sx={{ borderTop: '1px solid', borderColor: 'divider', mt: 1.5, pt: 1.5 }}
    >
      <b>{profile.name}</b>
      <Box sx={{ color: 'text.secondary', fontSize: '0.88rem' }}>{facts.join(', ')}</Box>
      {rights(job).plan && (
        <Box sx={{ display: 'flex', gap: 1, mt: 0.75 }}>
          <TextField
            type="number"
            value={count}
            onChange={(e) => setCount(e.target.value)}
            slotProps={{ htmlInput: { min: 1, max: 100, 'aria-label': `How many ${profile.name}` } }}
            sx={{ width: 84 }}
          />
          <Button type="submit" variant="outlined" disabled={add.isPending}>
            Add
          </Button>
        </Box>
      )}
      {add.error && <Trouble>{sentence(add.error)}</Trouble>}
    </Box>
  )
}
