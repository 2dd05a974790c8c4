import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import { useProveAgain } from '../shared/api/proveAgain'
import { AgainList } from '../shared/ui/AgainList'

/** Asked before a change is made that makes what was proved stale. */
export function ProveAgainDialog() {
  const question = useProveAgain()
  if (!question) return null
  const no = () => question.answer(false)
  return (
    <Dialog open onClose={no} maxWidth="sm" fullWidth>
      <DialogTitle>This must be proved again afterwards</DialogTitle>
      <DialogContent>
        <AgainList again={question.again} />
      </DialogContent>
      <DialogActions>
        <Button onClick={no}>Leave as it is</Button>
        <Button variant="contained" onClick={() => question.answer(true)} autoFocus>
          Change it
        </Button>
      </DialogActions>
    </Dialog>
  )
}
