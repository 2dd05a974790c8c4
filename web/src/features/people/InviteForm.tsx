import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { post, sentence } from '../../shared/api/client'
import { jobKeys } from '../../shared/api/job'
import type { Job } from '../../shared/api/types'
import { CopyValue } from '../../shared/ui/CopyValue'
import { Trouble } from '../../shared/ui/Trouble'
import { roles } from './roles'

/** Makes a link that lets one person in. */
export function InviteForm({ job }: { readonly job: Job }) {
  const queries = useQueryClient()
  const [role, setRole] = useState('technician')
  const [days, setDays] = useState(3)
  const invite = useMutation({
    mutationFn: () => post<{ path: string }>(`/api/jobs/${job.id}/people/invitations`, { role, days }),
    onSuccess: () => queries.invalidateQueries({ queryKey: jobKeys.people(job.id) }),
  })
  return (
    <Box component="section" sx={{ mt: 3, maxWidth: 900 }}>
      <Box component="h2" sx={{ typography: 'h2', mt: 0, mb: 1.5 }}>
        Let somebody in
      </Box>
      <Box
        component="form"
        onSubmit={(e) => {
          e.preventDefault()
          invite.mutate()
        }}
        sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'center' }}
      >
        <TextField
          select
          label="Part"
          value={role}
          onChange={(e) => setRole(e.target.value)}
          sx={{ width: 300 }}
        >
          {roles.map(([r, may]) => (
            <MenuItem key={r} value={r}>
              {r}: {may}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          type="number"
          label="Good for, days"
          value={days}
          onChange={(e) => setDays(Number(e.target.value))}
          slotProps={{ htmlInput: { min: 1, max: 30 } }}
          sx={{ width: 140 }}
        />
        <Button type="submit" variant="contained" disabled={invite.isPending}>
          Make the link
        </Button>
      </Box>
      {invite.error && <Trouble>{sentence(invite.error)}</Trouble>}
      {invite.data && (
        <Box role="status" sx={{ mt: 1 }}>
          <CopyValue label="Link" value={`${location.origin}${invite.data.path}`} />
          It works once and is shown only now. Send it to one person.
        </Box>
      )}
    </Box>
  )
}
