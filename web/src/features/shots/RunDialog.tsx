import NativeSelect from '@mui/material/NativeSelect'
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import { useState } from 'react'
import { sentence } from '../../shared/api/client'
import type { ShotList } from '../../shared/api/types'
import { ClearFirst } from '../../shared/ui/ClearFirst'
import { Trouble } from '../../shared/ui/Trouble'
import type { useShotRun } from './useShots'

interface Props {
  readonly list: ShotList
  readonly start: ReturnType<typeof useShotRun>['start']
  /** The take to go on from; none for the first. */
  readonly from: number | null
  readonly onClose: () => void
}

/** "Clear" before cameras move by themselves, and what they will do. */
export function RunDialog({ list, start, from, onClose }: Props) {
  const [clear, setClear] = useState(false)
  const [first, setFirst] = useState(from ?? list.takes[0]?.id ?? 0)
  const cameras = [...new Set(list.takes.map((t) => t.camera))]
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth>
      <DialogTitle>Run “{list.name}”</DialogTitle>
      <DialogContent>
        <p style={{ marginTop: 0 }}>
          You say what is on air; cameras that are off air go to their next view ahead of it, when there is
          time. A camera on air is never moved by the list. Keep this page open and in front: without it no
          camera moves on.
        </p>
        <label>
          Begin with{' '}
          <NativeSelect value={first} onChange={(e) => setFirst(Number(e.target.value))}>
            {list.takes.map((t) => (
              <option key={t.id} value={t.id}>
                take {t.number}: {t.camera} {t.subject}
              </option>
            ))}
          </NativeSelect>
        </label>
        <ClearFirst where="heads" clear={clear} onClear={setClear}>
          {cameras.join(', ')} move by themselves. Hands, cables and people clear, nobody below.
        </ClearFirst>
        {start.error && <Trouble>{sentence(start.error)}</Trouble>}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Leave it</Button>
        <Button
          variant="contained"
          disabled={!clear || start.isPending}
          onClick={() => start.mutate({ list: list.id, clear, from: first }, { onSuccess: onClose })}
        >
          Send the cameras
        </Button>
      </DialogActions>
    </Dialog>
  )
}
