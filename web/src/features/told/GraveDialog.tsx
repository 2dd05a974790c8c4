import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { rights } from '../../shared/api/changes'
import { post, sentence } from '../../shared/api/client'
import type { Job, SayView } from '../../shared/api/types'
import { Trouble } from '../../shared/ui/Trouble'

/** What is about to be told, and to whom. */
export interface Grave {
  readonly device: number
  readonly camera: string
  readonly name: string
  /** Nothing for a verb. */
  readonly value: number | null
  /** The value as its knob calls it; empty for a verb. */
  readonly valueWords: string
}

interface Props {
  readonly job: Job
  readonly grave: Grave
  readonly onTell: () => void
  readonly onClose: () => void
}

const consequences: Readonly<Record<string, string>> = {
  restarts: 'It restarts: its picture is gone until it has booted.',
  erases: 'What is stored in it is gone. It cannot be undone.',
  powers: 'It goes on or off: whoever is on air with it loses the picture.',
}

/** Asks each time before a device restarts, erases or powers; a lead approves what came from outside. */
export function GraveDialog({ job, grave, onTell, onClose }: Props) {
  const queries = useQueryClient()
  const path = `/api/jobs/${job.id}/told/${grave.device}`
  const body = { name: grave.name, value: grave.value }
  const view = useQuery({
    queryKey: ['job', job.id, 'say', grave.device, grave.name, grave.value],
    queryFn: () => post<SayView>(`${path}/preview`, body),
    gcTime: 0,
  })
  const [trouble, setTrouble] = useState('')
  const approve = async () => {
    try {
      await post<SayView>(`${path}/approve`, body)
      await queries.invalidateQueries({ queryKey: ['job', job.id, 'told'] })
      await view.refetch()
    } catch (e) {
      setTrouble(sentence(e))
    }
  }
  return (
    <Dialog open onClose={onClose} aria-labelledby="grave">
      <DialogTitle id="grave">
        {grave.camera}: {grave.name}
        {grave.valueWords && ` to ${grave.valueWords}`}?
      </DialogTitle>
      <DialogContent>
        {view.error && <Trouble>{sentence(view.error)}</Trouble>}
        {trouble && <Trouble>{trouble}</Trouble>}
        {view.data && (
          <>
            <p>{consequences[view.data.does] ?? ''}</p>
            <Box sx={{ color: 'text.secondary' }}>Sent by {view.data.in}, exactly:</Box>
            <Box className="mono" sx={{ overflowWrap: 'anywhere', fontSize: '1.1rem' }}>
              {view.data.sent}
            </Box>
            {!view.data.approved && (
              <p>
                This comes from a profile of this job&apos;s own, so a lead must approve what is sent first.
              </p>
            )}
          </>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Leave it</Button>
        {view.data && !view.data.approved && rights(job).manage && (
          <Button variant="outlined" onClick={() => void approve()}>
            Approve it
          </Button>
        )}
        <Button variant="contained" color="error" disabled={!view.data?.approved} onClick={onTell}>
          Send it
        </Button>
      </DialogActions>
    </Dialog>
  )
}
