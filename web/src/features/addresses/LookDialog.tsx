import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import { useState } from 'react'
import type { DiscoveryView } from '../../shared/api/types'

interface Props {
  readonly look: DiscoveryView
  readonly onStart: (it: { subnets: readonly string[]; confirmed: boolean }) => void
  readonly onClose: () => void
}

/** Which subnets are looked through, how many addresses that is and how long it takes. */
export function LookDialog({ look, onStart, onClose }: Props) {
  const [off, setOff] = useState<ReadonlySet<string>>(new Set())
  const [confirmed, setConfirmed] = useState(false)
  const chosen = look.subnets.filter((s) => !off.has(s.subnet))
  const toggle = (subnet: string) => {
    const next = new Set(off)
    if (!next.delete(subnet)) next.add(subnet)
    setOff(next)
  }
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth>
      <DialogTitle>Look for devices</DialogTitle>
      <DialogContent>
        <p style={{ marginTop: 0 }}>
          First a probe to all that listen, then each address is asked who has it, 50 a second. Where somebody
          answers, its page and its stream are knocked at. Nobody is signed in to, and nothing is sent to a
          control port.
        </p>
        {look.subnets.map((s) => (
          <div key={s.subnet}>
            <label>
              <input type="checkbox" checked={!off.has(s.subnet)} onChange={() => toggle(s.subnet)} />{' '}
              <span className="mono">{s.subnet}</span> {s.name} – {s.addresses} addresses, at least{' '}
              {Math.ceil(s.seconds)} s
              {s.leftOut > 0 && `; ${s.leftOut} more are left out, the planned ones come first`}
            </label>
          </div>
        ))}
        {look.live && (
          <p>
            <label>
              <input type="checkbox" checked={confirmed} onChange={() => setConfirmed(!confirmed)} /> This is
              the live network: whoever runs it agrees that it is looked through
            </label>
          </p>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Leave it</Button>
        <Button
          variant="contained"
          disabled={chosen.length === 0 || (look.live && !confirmed)}
          onClick={() => onStart({ subnets: chosen.map((s) => s.subnet), confirmed })}
        >
          Look
        </Button>
      </DialogActions>
    </Dialog>
  )
}
