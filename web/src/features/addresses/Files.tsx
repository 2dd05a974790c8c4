import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import type { Job } from '../../shared/api/types'
import { CompareSheet } from './CompareSheet'
import { SealedFile } from './SealedFile'

interface File {
  readonly path: string
  readonly title: string
  readonly what: string
}

const groups: readonly { readonly title: string; readonly files: readonly File[] }[] = [
  {
    title: 'The sheet',
    files: [
      { path: 'addresses.csv', title: 'CSV', what: 'for any program' },
      { path: 'addresses.xlsx', title: 'XLSX', what: 'for a spreadsheet; nothing in it runs' },
    ],
  },
  {
    title: 'Reservations for the house’s DHCP server, by MAC',
    files: [
      { path: 'reservations/dnsmasq', title: 'dnsmasq', what: 'a file for its conf-dir' },
      { path: 'reservations/dhcpd', title: 'ISC dhcpd', what: 'subnets, pools and hosts' },
      { path: 'reservations/kea', title: 'Kea', what: 'the DHCPv4 part' },
    ],
  },
  {
    title: 'Names',
    files: [
      { path: 'hosts', title: 'Hosts file', what: 'lines for every computer’s own' },
      { path: 'zone', title: 'Zone lines', what: 'A and PTR records' },
    ],
  },
  {
    title: 'Beside the desk',
    files: [
      {
        path: 'presets/key-map.pdf',
        title: 'Key map',
        what: 'keys, cameras and what their views are called',
      },
    ],
  },
  {
    title: 'Labels on A4, with a code that opens the device’s row here',
    files: [
      { path: 'labels.pdf?size=small', title: 'Small', what: '38 × 21 mm, 65 on a sheet' },
      { path: 'labels.pdf?size=medium', title: 'Medium', what: '63.5 × 34 mm, 24 on a sheet' },
      { path: 'labels.pdf?size=large', title: 'Large', what: '99 × 57 mm, 10 on a sheet' },
    ],
  },
]

/** The plan for others to read, and others' sheets beside the plan. */
export function Files({ job }: { readonly job: Job }) {
  return (
    <>
      <Paper sx={{ p: 2 }}>
        {groups.map((g) => (
          <Box key={g.title} sx={{ mb: 1.5 }}>
            <Box component="h2" sx={{ typography: 'h2', fontSize: '1.05rem', my: 0.5 }}>
              {g.title}
            </Box>
            <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap' }}>
              {g.files.map((f) => (
                <Button
                  key={f.path}
                  variant="outlined"
                  href={`/api/jobs/${job.id}/${f.path}`}
                  download
                  sx={{ flexDirection: 'column', alignItems: 'flex-start', textAlign: 'left' }}
                >
                  {f.title}
                  <Box
                    component="span"
                    sx={{ color: 'text.secondary', fontWeight: 400, fontSize: '0.85rem' }}
                  >
                    {f.what}
                  </Box>
                </Button>
              ))}
            </Box>
          </Box>
        ))}
        <Box sx={{ color: 'text.secondary' }}>None of these holds a secret.</Box>
      </Paper>
      <CompareSheet job={job} />
      <SealedFile job={job} />
    </>
  )
}
