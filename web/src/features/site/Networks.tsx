import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import TextField from '@mui/material/TextField'
import { useState } from 'react'
import { rights } from '../../shared/api/changes'
import { Refused, sentence } from '../../shared/api/client'
import { useChange } from '../../shared/api/job'
import type { Job, Subnet } from '../../shared/api/types'
import { EditCell } from '../../shared/ui/EditCell'
import { Trouble } from '../../shared/ui/Trouble'
import { PasteInterface } from './PasteInterface'

/** The house's networks; devices without an address yet go into the first. */
export function Networks({ job }: { readonly job: Job }) {
  const change = useChange(job.id)
  const remove = (subnet: Subnet) =>
    change.mutate({ adds: [], edits: [], removes: [{ item: 'subnet', id: subnet.id }] })
  return (
    <Paper sx={{ p: 2, mb: 2 }} component="section" aria-label="House networks">
      <Box component="h2" sx={{ typography: 'h2', mt: 0, mb: 1 }}>
        {job.subnets.length === 1 ? 'House network' : 'House networks'}
      </Box>
      {job.subnets.map((s, i) => (
        <Box
          key={s.id}
          sx={i > 0 ? { borderTop: '1px solid', borderColor: 'divider', mt: 1.5, pt: 1.5 } : {}}
        >
          <OneNetwork job={job} subnet={s} of={i === 0 ? 'the house' : s.cidr} />
          {i > 0 && rights(job).plan && (
            <Button size="small" onClick={() => remove(s)}>
              Remove {s.cidr}
            </Button>
          )}
        </Box>
      ))}
      {change.error && <Trouble>{sentence(change.error)}</Trouble>}
      {rights(job).plan && <AddNetwork job={job} />}
      <PasteInterface job={job} />
    </Paper>
  )
}

function OneNetwork({
  job,
  subnet,
  of,
}: {
  readonly job: Job
  readonly subnet: Subnet
  readonly of: string
}) {
  const fact = (name: string, field: string, value: string, hint: string, mono = true) => (
    <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', minHeight: 34 }}>
      <Box sx={{ width: 96, flexShrink: 0, color: 'text.secondary' }}>{name}</Box>
      <Box className={mono ? 'mono' : undefined}>
        <EditCell
          job={job}
          item="subnet"
          id={subnet.id}
          field={field}
          value={value}
          label={`${name} of ${of}`}
          hint={hint}
        >
          {value || 'none'}
        </EditCell>
      </Box>
    </Box>
  )
  return (
    <>
      <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', md: '1fr 1fr' }, columnGap: 2 }}>
        {fact('Network', 'cidr', subnet.cidr, 'For example 10.44.8.0/24')}
        {fact('For', 'name', subnet.name, 'For example control, or guests', false)}
        {fact('Gateway', 'gateway', subnet.gateway, 'The router in it')}
        {fact('VLAN', 'vlan', String(subnet.vlan ?? ''), '1 to 4094; none for untagged')}
        {fact('This laptop', 'laptopHome', subnet.laptopHome, 'Its own address at home in it')}
      </Box>
      <Box sx={{ color: 'text.secondary', mt: 0.5 }}>
        Mask <span className="mono">{subnet.mask}</span>, hosts{' '}
        <span className="mono">{subnet.firstHost}</span> to <span className="mono">{subnet.lastHost}</span>,{' '}
        {subnet.hosts} in all. Worked out from the prefix.
      </Box>
    </>
  )
}

const EMPTY = { cidr: '', gateway: '', laptopHome: '', vlan: '', name: '' }
const inputs: readonly (readonly [keyof typeof EMPTY, string, number])[] = [
  ['cidr', 'Network', 160],
  ['gateway', 'Gateway', 140],
  ['laptopHome', 'This laptop', 140],
  ['vlan', 'VLAN', 80],
  ['name', 'For', 120],
]

function AddNetwork({ job }: { readonly job: Job }) {
  const [typed, setTyped] = useState<typeof EMPTY>()
  const change = useChange(job.id)
  const wrong = change.error instanceof Refused ? change.error.body.field : undefined
  if (!typed) {
    return (
      <Button sx={{ mt: 1, mr: 1 }} onClick={() => setTyped(EMPTY)}>
        Another network …
      </Button>
    )
  }
  const add = () =>
    change.mutate(
      { adds: [{ item: 'subnet', id: -1, values: typed }], edits: [], removes: [] },
      { onSuccess: () => setTyped(undefined) },
    )
  return (
    <Box
      component="form"
      onSubmit={(e) => {
        e.preventDefault()
        add()
      }}
      sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', mt: 2 }}
    >
      {inputs.map(([field, label, width], i) => (
        <TextField
          key={field}
          label={label}
          value={typed[field]}
          autoFocus={i === 0}
          required={i < 3}
          error={wrong === field}
          onChange={(e) => setTyped({ ...typed, [field]: e.target.value })}
          slotProps={{ htmlInput: { className: 'mono', spellCheck: false } }}
          sx={{ width }}
        />
      ))}
      <Button type="submit" variant="outlined" disabled={change.isPending}>
        Add
      </Button>
      <Button onClick={() => setTyped(undefined)}>Leave it</Button>
      {change.error && <Trouble>{sentence(change.error)}</Trouble>}
    </Box>
  )
}
