import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import { useState } from 'react'
import { sentence } from '../../shared/api/client'
import type { ProveView } from '../../shared/api/types'
import { ClearFirst } from '../../shared/ui/ClearFirst'
import { Trouble } from '../../shared/ui/Trouble'
import type { Row } from './matrix'
import { chosen } from './matrix'
import type { useProve } from './useProve'
import { headOf } from './words'
import { counted } from '../../shared/format/counted'

interface Props {
  readonly rows: readonly Row[]
  readonly lines: ReadonlySet<number>
  readonly view: ProveView
  readonly start: ReturnType<typeof useProve>['start']
  readonly onClose: () => void
}

/** Which tests, and "clear" before a head moves. */
export function RunDialog({ rows, lines, view, start, onClose }: Props) {
  const [off, setOff] = useState<ReadonlySet<string>>(new Set())
  const [onlyOpen, setOnlyOpen] = useState(true)
  const [clear, setClear] = useState(false)
  const picked = view.byMachine.filter((t) => !off.has(t))
  const run = chosen(rows, lines, picked, onlyOpen)
  const moves = run.tests.some((t) => view.moving.includes(t))
  const go = () => start.mutate({ lines: run.lines, tests: run.tests, clear }, { onSuccess: onClose })
  const turn = (test: string) => {
    const next = new Set(off)
    if (!next.delete(test)) next.add(test)
    setOff(next)
  }
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth>
      <DialogTitle>Prove by machine</DialogTitle>
      <DialogContent>
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, mb: 1.5 }}>
          {view.byMachine.map((t) => (
            <label key={t}>
              <input type="checkbox" checked={!off.has(t)} onChange={() => turn(t)} /> {headOf(t)}
            </label>
          ))}
        </Box>
        <label>
          <input type="checkbox" checked={onlyOpen} onChange={() => setOnlyOpen(!onlyOpen)} /> Only tests that
          one of these lines still needs
        </label>
        <p>
          {counted(run.count, 'test', 'tests')} on {counted(run.lines.length, 'line', 'lines')}. Each puts
          back what it changes.
        </p>
        {moves && (
          <ClearFirst where="heads" clear={clear} onClear={setClear}>
            Heads move by up to 3° each way. Hands, cables and people clear, nobody below, and none of these
            cameras on air.
          </ClearFirst>
        )}
        {start.error && <Trouble>{sentence(start.error)}</Trouble>}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Leave it</Button>
        <Button
          variant="contained"
          onClick={go}
          disabled={run.count === 0 || (moves && !clear) || start.isPending}
        >
          Start {run.count} tests
        </Button>
      </DialogActions>
    </Dialog>
  )
}
