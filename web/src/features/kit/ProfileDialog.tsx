import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { Refused, post, put, sentence } from '../../shared/api/client'
import { showChange } from '../../shared/api/job'
import type { Job, JobPatch } from '../../shared/api/types'
import { Trouble } from '../../shared/ui/Trouble'
import { FactsForm } from './FactsForm'
import type { Facts } from './profileSchema'
import { isFacts } from './profileSchema'
import { useProfileSchema } from './useProfile'

interface Props {
  readonly job: Job
  /** What the form starts with; none to read a file first. */
  readonly start?: Facts
  /** Item number of the job's own profile that is changed; none for a new one. */
  readonly own?: number | null
  readonly onClose: () => void
}

/** A profile of the job's own: copied, changed or out of a file, checked by the published schema. */
export function ProfileDialog({ job, start, own = null, onClose }: Props) {
  const [facts, setFacts] = useState<Facts | undefined>(start)
  const [unreadable, setUnreadable] = useState<string>()
  const schema = useProfileSchema()
  const queries = useQueryClient()
  const save = useMutation({
    mutationFn: (now: Facts) =>
      own !== null
        ? put<JobPatch>(`/api/jobs/${job.id}/profiles/${own}`, { was: start, facts: now })
        : post<JobPatch>(`/api/jobs/${job.id}/profiles`, now),
    onSuccess: async (view) => {
      onClose()
      await showChange(queries, view)
    },
  })
  // The first wrong place comes into sight; there may be several.
  useEffect(() => {
    if (save.error) document.querySelector('[aria-invalid=true]')?.scrollIntoView({ block: 'center' })
  }, [save.error])
  const problems = save.error instanceof Refused ? (save.error.body.problems ?? []) : []
  const read = async (file: File | undefined) => {
    if (!file) return
    try {
      const found: unknown = JSON.parse(await file.text())
      if (!isFacts(found)) throw new SyntaxError()
      setUnreadable(undefined)
      setFacts(found)
    } catch {
      setUnreadable(`${file.name} is no readable profile. Nothing was changed; choose a *.profile.json file.`)
    }
  }
  return (
    <Dialog open onClose={onClose} maxWidth="md" fullWidth aria-label="Own profile">
      <DialogTitle>{own !== null ? 'Change this profile' : 'A profile of this job'}</DialogTitle>
      <DialogContent>
        {facts === undefined && (
          <Box>
            <p>A profile travels as one file, for example ceiling-ptz-2.profile.json.</p>
            <Button component="label" variant="outlined">
              Choose the file …
              <input
                type="file"
                accept=".json,application/json"
                hidden
                onChange={(e) => void read(e.target.files?.[0])}
              />
            </Button>
          </Box>
        )}
        {unreadable && <Trouble>{unreadable}</Trouble>}
        {schema.error && <Trouble>{sentence(schema.error)}</Trouble>}
        {facts && schema.data && (
          <FactsForm schema={schema.data} facts={facts} problems={problems} onChange={setFacts} />
        )}
      </DialogContent>
      {save.error && (
        <Box sx={{ px: 3 }}>
          <Trouble>{sentence(save.error)}</Trouble>
        </Box>
      )}
      <DialogActions>
        <Button onClick={onClose}>Leave it</Button>
        <Button
          variant="contained"
          disabled={!facts || save.isPending}
          onClick={() => facts && save.mutate(facts)}
        >
          Keep this profile
        </Button>
      </DialogActions>
    </Dialog>
  )
}
