import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import { useMutation } from '@tanstack/react-query'
import { useState } from 'react'
import { editing, rights } from '../../shared/api/changes'
import { post, sentence } from '../../shared/api/client'
import type { Changes, HouseInterface, Job } from '../../shared/api/types'
import { FixDialog } from '../../shared/ui/FixDialog'
import { Trouble } from '../../shared/ui/Trouble'

/** The house network from the laptop's own print-out; previewed before it is taken over. */
export function PasteInterface({ job }: { readonly job: Job }) {
  const [text, setText] = useState<string>()
  const [taking, setTaking] = useState<Changes>()
  const read = useMutation({
    mutationFn: () => post<HouseInterface[]>(`/api/jobs/${job.id}/site/interfaces`, { text }),
  })
  if (!rights(job).plan) return null
  if (text === undefined) {
    return (
      <Button sx={{ mt: 1 }} onClick={() => setText('')}>
        From this laptop’s print-out …
      </Button>
    )
  }
  return (
    <Box sx={{ mt: 1.5 }}>
      <TextField
        fullWidth
        multiline
        minRows={3}
        maxRows={8}
        autoFocus
        label="Paste what ip addr, ifconfig or ipconfig prints on the laptop"
        value={text}
        onChange={(e) => setText(e.target.value)}
        slotProps={{ htmlInput: { className: 'mono', spellCheck: false } }}
      />
      <Box sx={{ display: 'flex', gap: 1, mt: 1 }}>
        <Button variant="outlined" onClick={() => read.mutate()} disabled={text.trim() === ''}>
          Read it
        </Button>
        <Button onClick={() => setText(undefined)}>Close</Button>
      </Box>
      {read.error && <Trouble>{sentence(read.error)}</Trouble>}
      {read.data?.length === 0 && (
        <p role="status">No address of a house network was found in it. Paste all of what was printed.</p>
      )}
      {read.data?.map((i) => (
        <Box key={i.address} sx={{ mt: 1, display: 'flex', gap: 2, alignItems: 'center' }}>
          <span>
            <span className="mono">{i.address}</span> in <span className="mono">{i.cidr}</span>, gateway{' '}
            <span className="mono">{i.gateway || 'not named'}</span>
          </span>
          <Button size="small" variant="outlined" onClick={() => setTaking(takeOver(job, i))}>
            Use this network …
          </Button>
        </Box>
      ))}
      {taking && (
        <FixDialog
          job={job}
          title="House network from this laptop"
          changes={taking}
          onClose={() => setTaking(undefined)}
        />
      )}
    </Box>
  )
}

function takeOver(job: Job, found: HouseInterface): Changes {
  const edit = (field: string, before: string, after: string) =>
    after === '' || before === after ? [] : [{ item: 'subnet', id: job.subnet.id, field, before, after }]
  return editing(
    ...edit('cidr', job.subnet.cidr, found.cidr),
    ...edit('gateway', job.subnet.gateway, found.gateway),
    ...edit('laptopHome', job.subnet.laptopHome, found.address),
  )
}
