import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import Table from '@mui/material/Table'
import TableBody from '@mui/material/TableBody'
import TableCell from '@mui/material/TableCell'
import TableRow from '@mui/material/TableRow'
import { useState } from 'react'
import { typing, useKeys } from './keys'
import { everywhere } from './pageKeys'
import type { PageKey } from './pageKeys'

/** What the keys of this page do; opened by "?". */
export function KeysHelp({ title, keys }: { readonly title: string; readonly keys: readonly PageKey[] }) {
  const [open, setOpen] = useState(false)
  useKeys((e) => {
    if (e.key === '?' && !typing(e.target)) setOpen(true)
  })
  const close = () => setOpen(false)
  return (
    <Dialog open={open} onClose={close} maxWidth="sm" fullWidth>
      <DialogTitle>Keys on {title}</DialogTitle>
      <DialogContent>
        <Table size="small" aria-label="Keys">
          <TableBody>
            {[...keys, ...everywhere].map(([key, does]) => (
              <TableRow key={key}>
                <TableCell sx={{ whiteSpace: 'nowrap', width: 170 }}>
                  <kbd>{key}</kbd>
                </TableCell>
                <TableCell>{does}</TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      </DialogContent>
      <DialogActions>
        <Button onClick={close} autoFocus>
          Close
        </Button>
      </DialogActions>
    </Dialog>
  )
}
