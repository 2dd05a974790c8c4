import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import Paper from '@mui/material/Paper'
import Select from '@mui/material/Select'
import visuallyHidden from '@mui/utils/visuallyHidden'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { rights } from '../../shared/api/changes'
import { del, get, put, sentence } from '../../shared/api/client'
import { dayAndTime } from '../../shared/format/moment'
import { jobKeys } from '../../shared/api/job'
import type { Job, Member, PeopleView } from '../../shared/api/types'
import { Page } from '../../shared/ui/Page'
import type { Column } from '../../shared/ui/SheetTable'
import { SheetTable } from '../../shared/ui/SheetTable'
import { Trouble } from '../../shared/ui/Trouble'
import { InviteForm } from './InviteForm'
import { roles } from './roles'

/** Who belongs to this job, in which role, and who is invited. */
export function PeoplePage({ job }: { readonly job: Job }) {
  const queries = useQueryClient()
  const path = `/api/jobs/${job.id}/people`
  const people = useQuery({ queryKey: jobKeys.people(job.id), queryFn: () => get<PeopleView>(path) })
  const show = () => queries.invalidateQueries({ queryKey: jobKeys.one(job.id) })
  const setRole = useMutation({
    mutationFn: (it: { id: number; role: string }) => put(`${path}/${it.id}/role`, { role: it.role }),
    onSuccess: show,
  })
  const remove = useMutation({
    mutationFn: (what: string) => del(`${path}/${what}`),
    onSuccess: show,
  })
  const manage = rights(job).manage
  const error = people.error ?? setRole.error ?? remove.error
  const part = (m: Member) =>
    manage ? (
      <Select
        size="small"
        value={m.role}
        onChange={(e) => setRole.mutate({ id: m.id, role: e.target.value })}
        inputProps={{ 'aria-label': `Part of ${m.name}` }}
      >
        {roles.map(([role, may]) => (
          <MenuItem key={role} value={role}>
            {role}: {may}
          </MenuItem>
        ))}
      </Select>
    ) : (
      m.role
    )
  const columns: readonly Column<Member>[] = [
    { title: 'Name', cell: (m) => <b>{m.you ? `${m.name} (you)` : m.name}</b> },
    { title: 'Sign-in name', mono: true, cell: (m) => m.login },
    { title: 'Part', cell: part },
    {
      title: 'Actions',
      head: <Box sx={visuallyHidden}>Actions</Box>,
      cell: (m) =>
        manage && (
          <Button size="small" onClick={() => remove.mutate(String(m.id))} aria-label={`Take out ${m.name}`}>
            Take out
          </Button>
        ),
    },
  ]
  return (
    <Page title="People" job={job}>
      {error && <Trouble>{sentence(error)}</Trouble>}
      {people.data && (
        <Paper sx={{ maxWidth: 900 }}>
          <SheetTable
            label="Members"
            columns={columns}
            rows={people.data.members}
            rowKey={(m) => m.id}
            rowLabel={(m) => m.name}
          />
        </Paper>
      )}
      {manage && <InviteForm job={job} />}
      {people.data?.invitations.map((i) => (
        <Box key={i.id} sx={{ mt: 1 }}>
          Invitation as <b>{i.role}</b> by {i.invitedBy}, good until {dayAndTime(i.expiresAt, job.site.clock)}{' '}
          <Button size="small" onClick={() => remove.mutate(`invitations/${i.id}`)}>
            Withdraw
          </Button>
        </Box>
      ))}
    </Page>
  )
}
