import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import TextField from '@mui/material/TextField'
import { useMutation } from '@tanstack/react-query'
import { useState } from 'react'
import { post, sentence } from '../../shared/api/client'
import type { Job } from '../../shared/api/types'
import { rights } from '../../shared/api/changes'
import { Trouble } from '../../shared/ui/Trouble'

/** The whole job with its secrets, which open with a passphrase only. */
export function SealedFile({ job }: { readonly job: Job }) {
  const [passphrase, setPassphrase] = useState('')
  const [again, setAgain] = useState('')
  const make = useMutation({
    mutationFn: () => post<unknown>(`/api/jobs/${job.id}/file`, { passphrase }),
    onSuccess: (file) => save(`${job.name.replace(/[^A-Za-z0-9]+/g, '-')}-with-secrets.jerboa.json`, file),
  })
  if (!rights(job).plan) return null
  return (
    <Paper
      sx={{ p: 2, mt: 2 }}
      component="form"
      onSubmit={(e: React.FormEvent) => {
        e.preventDefault()
        make.mutate()
      }}
    >
      <Box component="h2" sx={{ typography: 'h2', fontSize: '1.05rem', mt: 0, mb: 1 }}>
        The job with its secrets
      </Box>
      <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'flex-start', flexWrap: 'wrap' }}>
        <TextField
          label="Passphrase"
          type="password"
          autoComplete="new-password"
          value={passphrase}
          onChange={(e) => setPassphrase(e.target.value)}
          helperText="At least 8 characters"
        />
        <TextField
          label="The same again"
          type="password"
          autoComplete="new-password"
          value={again}
          onChange={(e) => setAgain(e.target.value)}
          error={again !== '' && again !== passphrase}
        />
        <Button
          type="submit"
          variant="outlined"
          disabled={passphrase.length < 8 || again !== passphrase || make.isPending}
        >
          Job file with secrets
        </Button>
      </Box>
      <Box sx={{ color: 'text.secondary', mt: 1 }}>
        Encrypted (AES-256-GCM under PBKDF2). Without the passphrase nobody, we included, gets them back; the
        rest of the file opens as always.
      </Box>
      {make.error && <Trouble>{sentence(make.error)}</Trouble>}
    </Paper>
  )
}

function save(name: string, content: unknown) {
  const url = URL.createObjectURL(
    new Blob([JSON.stringify(content, undefined, 2)], { type: 'application/json' }),
  )
  const link = document.createElement('a')
  link.href = url
  link.download = name
  link.click()
  URL.revokeObjectURL(url)
}
