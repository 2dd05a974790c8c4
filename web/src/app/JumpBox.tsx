import Box from '@mui/material/Box'
import Dialog from '@mui/material/Dialog'
import List from '@mui/material/List'
import ListItemButton from '@mui/material/ListItemButton'
import TextField from '@mui/material/TextField'
import { useState } from 'react'
import type { KeyboardEvent } from 'react'
import { useNavigate } from 'react-router'
import type { Job } from '../shared/api/types'
import { useKeys } from '../shared/ui/keys'
import { found, placesOf } from './jumpPlaces'

/** Ctrl+K: any device, address, key, finding or page by a few letters; a pasted address finds its device. */
export function JumpBox({ job }: { readonly job: Job }) {
  const [open, setOpen] = useState(false)
  useKeys((e) => {
    if ((e.ctrlKey || e.metaKey) && e.key.toLowerCase() === 'k') {
      e.preventDefault()
      setOpen(true)
    }
  })
  return open ? <Jump job={job} onClose={() => setOpen(false)} /> : null
}

function Jump({ job, onClose }: { readonly job: Job; readonly onClose: () => void }) {
  const [text, setText] = useState('')
  const [at, setAt] = useState(0)
  const navigate = useNavigate()
  const hits = found(placesOf(job), text)
  const go = (to: string | undefined) => {
    if (!to) return
    onClose()
    void navigate(to)
  }
  const onKey = (e: KeyboardEvent) => {
    const step = { ArrowDown: 1, ArrowUp: -1 }[e.key]
    if (step) {
      e.preventDefault()
      setAt(Math.max(0, Math.min(hits.length - 1, at + step)))
    }
    if (e.key === 'Enter') go(hits[at]?.to)
  }
  return (
    <Dialog
      open
      onClose={onClose}
      maxWidth="sm"
      fullWidth
      aria-label="Jump"
      sx={{ '& .MuiDialog-container': { alignItems: 'flex-start', pt: 6 } }}
    >
      <Box sx={{ p: 2 }} onKeyDown={onKey}>
        <TextField
          fullWidth
          autoFocus
          placeholder="Device, address, key, finding or page"
          value={text}
          onChange={(e) => {
            setText(e.target.value)
            setAt(0)
          }}
          slotProps={{ htmlInput: { 'aria-label': 'Jump to', spellCheck: false } }}
        />
        <List dense aria-label="Places">
          {hits.map((p, i) => (
            <ListItemButton key={`${p.to} ${p.name}`} selected={i === at} onClick={() => go(p.to)}>
              <b style={{ minWidth: 120 }}>{p.name}</b>
              <Box component="span" sx={{ color: 'text.secondary', ml: 1.5 }}>
                {p.what}
              </Box>
            </ListItemButton>
          ))}
        </List>
        {hits.length === 0 && <Box sx={{ color: 'text.secondary' }}>Nothing here goes by that.</Box>}
      </Box>
    </Dialog>
  )
}
