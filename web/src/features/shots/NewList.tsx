import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import { useState } from 'react'

interface Props {
  readonly onName: (name: string) => void
  readonly onClose: () => void
}

/** The name of a new list, typed where it will stand. */
export function NewList({ onName, onClose }: Props) {
  const [name, setName] = useState('')
  return (
    <Box
      component="form"
      onSubmit={(e) => {
        e.preventDefault()
        if (name.trim() !== '') onName(name.trim())
      }}
      sx={{ display: 'flex', gap: 1, mb: 2 }}
    >
      <TextField
        autoFocus
        label="Name of the list"
        value={name}
        onChange={(e) => setName(e.target.value)}
        onKeyDown={(e) => e.key === 'Escape' && onClose()}
        slotProps={{ htmlInput: { maxLength: 60 } }}
      />
      <Button type="submit" variant="contained" disabled={name.trim() === ''}>
        Make it
      </Button>
      <Button onClick={onClose}>Leave it</Button>
    </Box>
  )
}
