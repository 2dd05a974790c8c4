import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import { useMutation } from '@tanstack/react-query'
import { useState } from 'react'
import { post, sentence } from '../api/client'
import type { ShownSecret } from '../api/types'
import { CopyValue } from './CopyValue'
import { Trouble } from './Trouble'

interface Props {
  readonly job: number
  readonly secret: number
  /** What it is, for example "Password of L4". */
  readonly label: string
  /** Shown over the page, where there is no room beside the button. */
  readonly apart?: boolean
}

/** A secret that stays covered until somebody asks; the logbook says who asked. */
export function SecretValue({ job, secret, label, apart = false }: Props) {
  const show = useMutation({
    mutationFn: () => post<ShownSecret>(`/api/jobs/${job}/secrets/${secret}/show`),
  })
  if (show.data && !apart) return <Shown shown={show.data} onCover={show.reset} />
  return (
    <>
      <Button
        size="small"
        variant="outlined"
        onClick={() => show.mutate()}
        aria-label={`Show: ${label}`}
        disabled={show.isPending}
      >
        Show
      </Button>
      {show.data && (
        <Dialog open onClose={show.reset}>
          <DialogTitle>{label}</DialogTitle>
          <DialogContent>
            <Shown shown={show.data} onCover={show.reset} />
          </DialogContent>
        </Dialog>
      )}
      {show.error && <Trouble>{sentence(show.error)}</Trouble>}
    </>
  )
}

function Shown({ shown, onCover }: { readonly shown: ShownSecret; readonly onCover: () => void }) {
  const [at, setAt] = useState<number>()
  return (
    <Box>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, flexWrap: 'wrap' }}>
        <CopyValue label="Secret" value={shown.value} />
        <Button size="small" onClick={() => setAt(at === undefined ? 0 : undefined)}>
          {at === undefined ? 'Key by key' : 'Whole'}
        </Button>
        <Button size="small" onClick={onCover}>
          Cover
        </Button>
      </Box>
      {!shown.oneMode && (
        <Box>It leaves the device&#39;s letter mode: the changes are among the presses.</Box>
      )}
      {at !== undefined && <Presses presses={shown.presses} at={at} onMove={setAt} />}
    </Box>
  )
}

interface PressesProps {
  readonly presses: readonly string[]
  readonly at: number
  readonly onMove: (to: number) => void
}

/** One press at a time, large; the buttons take Enter and Space. */
function Presses({ presses, at, onMove }: PressesProps) {
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, my: 0.5 }} role="group" aria-label="Key by key">
      <Button size="small" variant="outlined" disabled={at === 0} onClick={() => onMove(at - 1)}>
        Back
      </Button>
      <Box sx={{ minWidth: 200, textAlign: 'center' }} aria-live="polite">
        <Box className="mono" sx={{ fontSize: '1.8rem', lineHeight: 1.2 }}>
          {presses[at]}
        </Box>
        press {at + 1} of {presses.length}
      </Box>
      <Button
        size="small"
        variant="outlined"
        disabled={at === presses.length - 1}
        onClick={() => onMove(at + 1)}
      >
        Next press
      </Button>
    </Box>
  )
}
