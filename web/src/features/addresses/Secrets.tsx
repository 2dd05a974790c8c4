import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { rights } from '../../shared/api/changes'
import { del, get, post, sentence } from '../../shared/api/client'
import { useJobRequest } from '../../shared/api/job'
import type { Job, JobPatch, SecretRow, SecretsView } from '../../shared/api/types'
import { SecretValue } from '../../shared/ui/SecretValue'
import type { Column } from '../../shared/ui/SheetTable'
import { SheetTable } from '../../shared/ui/SheetTable'
import { Trouble } from '../../shared/ui/Trouble'
import { TypeSecret } from './TypeSecret'
import { useWords } from './secretWords'
import { counted } from '../../shared/format/counted'

/** Passwords and keys: none is shown before somebody asks, and the logbook says who asked. */
export function Secrets({ job }: { readonly job: Job }) {
  const [typing, setTyping] = useState<SecretRow>()
  const query = useQuery({
    queryKey: ['job', job.id, 'secrets', job.version],
    queryFn: () => get<SecretsView>(`/api/jobs/${job.id}/secrets`),
  })
  const make = useJobRequest((deviceIds: readonly number[]) =>
    post<JobPatch>(`/api/jobs/${job.id}/secrets/make`, { deviceIds }),
  )
  const drop = useJobRequest((id: number) => del<JobPatch>(`/api/jobs/${job.id}/secrets/${id}`))
  const may = rights(job).plan
  const rows = query.data?.secrets ?? []
  const lacking = rows.flatMap((r) =>
    r.use === 'password' && r.deviceId !== null && weak(r) ? [r.deviceId] : [],
  )
  return (
    <>
      {(query.error ?? make.error ?? drop.error) && (
        <Trouble>{sentence(query.error ?? make.error ?? drop.error)}</Trouble>
      )}
      {query.data && !query.data.works && (
        <Trouble>
          This server was started without a key to keep secrets with. Start it with ./jerboa, or set
          JERBOA_SECRET_KEY; nothing else is missing.
        </Trouble>
      )}
      {may && (
        <Box sx={{ display: 'flex', gap: 1.5, mb: 1.5, flexWrap: 'wrap', alignItems: 'center' }}>
          <Button
            variant="contained"
            disabled={lacking.length === 0 || make.isPending}
            onClick={() => make.mutate(lacking)}
          >
            {lacking.length === 0
              ? 'Every device has its own'
              : `Make passwords for ${counted(lacking.length, 'device', 'devices')}`}
          </Button>
          <Button variant="outlined" onClick={() => setTyping(house)}>
            Add a key …
          </Button>
          <Box component="span" sx={{ color: 'text.secondary' }}>
            Readable, no look-alikes, as each device can take them.
          </Box>
        </Box>
      )}
      <Paper sx={{ overflowX: 'auto', '& th, & td': { px: 1 } }}>
        <SheetTable
          label="Secrets"
          columns={columns({
            job,
            may,
            onMake: (id) => make.mutate([id]),
            onType: setTyping,
            onDrop: drop.mutate,
          })}
          rows={rows}
          rowKey={(r) => `${r.id} ${r.deviceId}`}
          rowLabel={(r) => `${r.device || 'house'} ${r.use}`}
        />
      </Paper>
      {query.data && rows.length === 0 && (
        <p>
          No device here asks for a password. Add kit first, or a key for a stream, tunnel or wireless
          network.
        </p>
      )}
      <Box sx={{ color: 'text.secondary', mt: 1 }}>
        Kept encrypted; in no export unless you ask for it under Files, and then only under a passphrase.
      </Box>
      {typing && <TypeSecret job={job} secret={typing} onClose={() => setTyping(undefined)} />}
    </>
  )
}

/** A new key of the house. */
const house: SecretRow = {
  id: 0,
  deviceId: 0,
  device: '',
  use: 'stream-key',
  name: '',
  origin: '',
  rule: '',
  letters: 'any',
  longest: 200,
}

const weak = (r: SecretRow) => r.origin === '' || r.origin === 'factory'

interface Doing {
  readonly job: Job
  readonly may: boolean
  readonly onMake: (device: number) => void
  readonly onType: (secret: SecretRow) => void
  readonly onDrop: (id: number) => void
}

function columns({ job, may, onMake, onType, onDrop }: Doing): readonly Column<SecretRow>[] {
  return [
    { title: 'Device', cell: (r) => <b style={{ whiteSpace: 'nowrap' }}>{r.device || 'The house'}</b> },
    { title: 'What', cell: (r) => useWords[r.use] ?? r.use },
    { title: 'For', mono: true, cell: (r) => r.name },
    { title: 'State', cell: stateOf },
    { title: 'Typed with', cell: (r) => (r.use === 'password' ? keysOf(r) : '') },
    {
      title: 'Secret',
      cell: (r) =>
        r.id !== null && may ? (
          <SecretValue
            apart
            job={job.id}
            secret={r.id}
            label={`${useWords[r.use]} of ${r.device || 'the house'}`}
          />
        ) : r.id !== null ? (
          'kept'
        ) : (
          ''
        ),
    },
    {
      title: 'Change',
      head: <span />,
      cell: ({ id, deviceId, ...r }) =>
        may && (
          <Box sx={{ whiteSpace: 'nowrap' }}>
            {r.use === 'password' && deviceId !== null && (
              <Button size="small" onClick={() => onMake(deviceId)}>
                Make
              </Button>
            )}
            <Button size="small" onClick={() => onType({ id, deviceId, ...r })}>
              Type …
            </Button>
            {id !== null && (
              <Button
                size="small"
                onClick={() => onDrop(id)}
                aria-label={`Forget the ${r.use} of ${r.device || 'the house'}`}
              >
                Forget
              </Button>
            )}
          </Box>
        ),
    },
  ]
}

function stateOf(r: SecretRow): string {
  if (r.origin === 'generated') return 'made here'
  if (r.origin === 'typed') return 'typed'
  if (r.origin === 'factory') return '◆ as anybody would guess'
  return r.rule === 'factory'
    ? '◆ factory password'
    : r.rule === 'printed'
      ? 'on its label'
      : '○ none kept yet'
}

const letterWords: Readonly<Record<string, string>> = {
  any: 'any letters',
  'lower-and-digits': 'small letters and digits',
  digits: 'digits',
}

const keysOf = (r: SecretRow) => `${letterWords[r.letters] ?? r.letters}, at most ${r.longest}`
