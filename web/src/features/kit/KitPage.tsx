import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import { rights } from '../../shared/api/changes'
import { post, sentence } from '../../shared/api/client'
import { showJob } from '../../shared/api/job'
import type { Device, Job } from '../../shared/api/types'
import { EditCell } from '../../shared/ui/EditCell'
import { Page } from '../../shared/ui/Page'
import type { Column } from '../../shared/ui/SheetTable'
import { SheetTable } from '../../shared/ui/SheetTable'
import { Trouble } from '../../shared/ui/Trouble'
import { Shelf } from './Shelf'
import { tidyMac } from './tidyMac'

/** The kit: a shelf to add from, and the devices that are on the van. */
export function KitPage({ job }: { readonly job: Job }) {
  const queries = useQueryClient()
  const may = rights(job).plan
  const remove = useMutation({
    mutationFn: (device: number) => post<Job>(`/api/jobs/${job.id}/kit/remove`, { devices: [device] }),
    onSuccess: (view) => showJob(queries, view),
  })
  const columns: readonly Column<Device>[] = [
    {
      title: 'Device',
      cell: (d) => (
        <EditCell
          job={job}
          item="device"
          id={d.id}
          field="name"
          value={d.name}
          label={`Name of ${d.name}`}
          hint="Enter takes it"
        >
          <b>{d.name}</b>
        </EditCell>
      ),
    },
    { title: 'Profile', cell: (d) => d.profile },
    {
      title: 'MAC',
      mono: true,
      cell: (d) => (
        <EditCell
          job={job}
          item="device"
          id={d.id}
          field="mac"
          value={d.mac}
          label={`MAC of ${d.name}`}
          hint="As on its label"
          tidy={tidyMac}
        >
          {d.mac || 'not noted'}
        </EditCell>
      ),
    },
    {
      title: '',
      cell: (d) =>
        may && (
          <Button size="small" aria-label={`Remove ${d.name}`} onClick={() => remove.mutate(d.id)}>
            Remove
          </Button>
        ),
    },
  ]
  return (
    <Page title="Kit" job={job}>
      {remove.error && <Trouble>{sentence(remove.error)}</Trouble>}
      <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', md: '264px minmax(0, 820px)' }, gap: 2 }}>
        <Shelf job={job} />
        <Paper sx={{ alignSelf: 'start' }}>
          {job.devices.length === 0 ? (
            <Box sx={{ p: 2 }}>
              Nothing is on the van yet. Say how many of what on the left: names, lines, keys and addresses
              are worked out.
            </Box>
          ) : (
            <SheetTable
              label="Kit"
              columns={columns}
              rows={job.devices}
              rowKey={(d) => d.id}
              rowLabel={(d) => d.name}
              rowId={(d) => `device-${d.id}`}
            />
          )}
        </Paper>
      </Box>
    </Page>
  )
}
