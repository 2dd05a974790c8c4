import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import Paper from '@mui/material/Paper'
import TextField from '@mui/material/TextField'
import { useMutation, useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { post, sentence } from '../../shared/api/client'
import { previewChanges } from '../../shared/api/job'
import type { Finding, Job, WhatIfResult } from '../../shared/api/types'
import { FixDialog } from '../../shared/ui/FixDialog'
import type { Column } from '../../shared/ui/SheetTable'
import { SheetTable } from '../../shared/ui/SheetTable'
import { Trouble } from '../../shared/ui/Trouble'

interface Try {
  readonly title: string
  readonly result?: WhatIfResult
}

interface Asked {
  readonly title: string
  readonly body: Readonly<Record<string, string | number>>
}

/** What is not asked about. */
const nothing = { start: '', subnet: 0, cidr: '', gateway: '', practice: '' }

/** The plan as it would be from another start, in another subnet, by another working practice: side by side. */
export function WhatIfs({ job }: { readonly job: Job }) {
  const [tries, setTries] = useState<readonly Try[]>([])
  const [taking, setTaking] = useState<Try>()
  const ask = useMutation({
    mutationFn: (asked: Asked) =>
      post<WhatIfResult>(`/api/jobs/${job.id}/address-plan/what-if`, { ...nothing, ...asked.body }),
    onSuccess: (result, asked) =>
      setTries((now) => [...now.filter((t) => t.title !== asked.title), { title: asked.title, result }]),
  })
  return (
    <>
      <Questions job={job} onAsk={ask.mutate} />
      {ask.error && <Trouble>{sentence(ask.error)}</Trouble>}
      <Paper sx={{ mt: 2 }}>
        <SheetTable
          label="What if"
          columns={columns(job, setTaking)}
          rows={[{ title: 'As planned' }, ...tries]}
          rowKey={(t) => t.title}
          rowLabel={(t) => t.title}
        />
      </Paper>
      <Box sx={{ color: 'text.secondary', mt: 1 }}>
        Nothing changes until you take one over; then it is one step that can be taken back.
      </Box>
      {taking?.result && (
        <FixDialog
          job={job}
          title={taking.title}
          changes={taking.result.changes}
          onClose={() => setTaking(undefined)}
        />
      )}
    </>
  )
}

const practices = {
  static: 'static by hand',
  reservation: 'static and reserved',
  lease: 'leases, found by search',
}

function Questions({ job, onAsk }: { readonly job: Job; readonly onAsk: (asked: Asked) => void }) {
  const [start, setStart] = useState('')
  const [subnet, setSubnet] = useState(job.subnet.id)
  const [cidr, setCidr] = useState('')
  const [gateway, setGateway] = useState('')
  const [practice, setPractice] = useState<keyof typeof practices>('reservation')
  const mono = { htmlInput: { className: 'mono', spellCheck: false } }
  const row = { display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap', mb: 1.5 } as const
  return (
    <Paper sx={{ p: 2 }}>
      <Box
        sx={row}
        component="form"
        onSubmit={submitting(() => onAsk({ title: `Cameras from ${start.trim()}`, body: { start } }))}
      >
        <TextField
          label="Cameras from"
          value={start}
          onChange={(e) => setStart(e.target.value)}
          slotProps={mono}
          placeholder={job.subnet.firstHost}
        />
        <Button type="submit" variant="outlined" disabled={start.trim() === ''}>
          Try this start
        </Button>
      </Box>
      <Box
        sx={row}
        component="form"
        onSubmit={submitting(() =>
          onAsk({
            title: `Subnet ${cidr.trim()}, gateway ${gateway.trim()}`,
            body: { subnet, cidr, gateway },
          }),
        )}
      >
        {job.subnets.length > 1 && (
          <TextField
            select
            label="In the place of"
            value={subnet}
            onChange={(e) => setSubnet(Number(e.target.value))}
          >
            {job.subnets.map((s) => (
              <MenuItem key={s.id} value={s.id}>
                {s.cidr}
              </MenuItem>
            ))}
          </TextField>
        )}
        <TextField
          label="Another subnet"
          value={cidr}
          onChange={(e) => setCidr(e.target.value)}
          slotProps={mono}
          placeholder="10.20.0.0/22"
        />
        <TextField
          label="Its gateway"
          value={gateway}
          onChange={(e) => setGateway(e.target.value)}
          slotProps={mono}
          placeholder="10.20.0.1"
        />
        <Button type="submit" variant="outlined" disabled={cidr.trim() === '' || gateway.trim() === ''}>
          Try this subnet
        </Button>
      </Box>
      <Box
        sx={{ ...row, mb: 0 }}
        component="form"
        onSubmit={submitting(() => onAsk({ title: `All ${practices[practice]}`, body: { practice } }))}
      >
        <TextField
          select
          label="Addresses"
          value={practice}
          onChange={(e) => setPractice(e.target.value as keyof typeof practices)}
          sx={{ minWidth: 230 }}
        >
          {Object.entries(practices).map(([word, text]) => (
            <MenuItem key={word} value={word}>
              {text}
            </MenuItem>
          ))}
        </TextField>
        <Button type="submit" variant="outlined">
          Try this practice
        </Button>
      </Box>
    </Paper>
  )
}

const submitting = (then: () => void) => (event: React.FormEvent) => {
  event.preventDefault()
  then()
}

function columns(job: Job, onTake: (t: Try) => void): readonly Column<Try>[] {
  return [
    { title: 'Plan', cell: (t) => <b>{t.title}</b> },
    {
      title: 'Cameras',
      mono: true,
      cell: (t) => (t.result ? span(t.result.first, t.result.last) : span(...present(job))),
    },
    { title: 'Move', cell: (t) => (t.result ? `${t.result.moved}` : '–') },
    {
      title: 'Findings',
      cell: (t) => (t.result ? <Effects job={job} result={t.result} /> : standing(job.findings)),
    },
    {
      title: 'Take',
      head: <span />,
      cell: (t) =>
        t.result && (
          <Button
            size="small"
            variant="outlined"
            sx={{ whiteSpace: 'nowrap' }}
            onClick={() => onTake(t)}
            disabled={t.result.changes.edits.length === 0}
          >
            Look and take …
          </Button>
        ),
    },
  ]
}

const span = (first: string, last: string) =>
  first === '' ? 'by lease' : first === last ? first : `${first} to ${last}`

function present(job: Job): [string, string] {
  const byId = new Map(job.devices.map((d) => [d.id, d.address]))
  const own = job.lines.flatMap((l) => byId.get(l.cameraId) || [])
  own.sort((a, b) => a.localeCompare(b, 'en', { numeric: true }))
  return [own[0] ?? '', own.at(-1) ?? '']
}

function standing(findings: readonly Finding[]): string {
  const own = findings.filter(
    (f) => f.discipline === 'addresses' && f.waiver === null && f.severity !== 'note',
  )
  return own.length === 0 ? 'none stands' : own.map((f) => f.code).join(', ')
}

function Effects({ job, result }: { readonly job: Job; readonly result: WhatIfResult }) {
  const preview = useQuery({
    queryKey: ['preview', job.id, job.version, result.changes],
    queryFn: () => previewChanges(job.id, result.changes),
    enabled: result.changes.edits.length > 0,
    retry: false,
  })
  if (result.changes.edits.length === 0) return 'nothing would change'
  if (preview.error) return sentence(preview.error)
  if (!preview.data) return '…'
  const say = (what: string, findings: readonly Finding[]) =>
    findings.length > 0 && (
      <div>
        {what} {[...new Set(findings.map((f) => f.code))].join(', ')}
      </div>
    )
  const weighty = (findings: readonly Finding[]) => findings.filter((f) => f.severity !== 'note')
  return (
    <>
      {say('✓ clears', weighty(preview.data.gone))}
      {say('◆ brings', weighty(preview.data.fresh))}
      {result.unplaced.length > 0 && <div>▲ no address left for {result.unplaced.join(', ')}</div>}
      {weighty(preview.data.gone).length + weighty(preview.data.fresh).length === 0 && 'none comes or goes'}
    </>
  )
}
