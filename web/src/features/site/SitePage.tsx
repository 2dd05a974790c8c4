import Box from '@mui/material/Box'
import Paper from '@mui/material/Paper'
import type { Job } from '../../shared/api/types'
import { EditCell } from '../../shared/ui/EditCell'
import { Page } from '../../shared/ui/Page'
import { HouseRanges } from './HouseRanges'
import { PasteInterface } from './PasteInterface'
import { PasteNeighbours } from './PasteNeighbours'

/** The house: its network, what is not ours to give out, and what print-outs say about both. */
export function SitePage({ job }: { readonly job: Job }) {
  return (
    <Page title="Site" job={job} findings={job.findings.filter((f) => f.code.startsWith('ADDR-'))}>
      <Paper sx={{ p: 2, mb: 2 }}>
        <Box component="h2" sx={{ typography: 'h2', mt: 0, mb: 1 }}>
          House network
        </Box>
        <Fact job={job} name="Network" field="cidr" value={job.subnet.cidr} hint="For example 10.44.8.0/24" />
        <Fact job={job} name="Gateway" field="gateway" value={job.subnet.gateway} hint="The router in it" />
        <Fact
          job={job}
          name="This laptop"
          field="laptopHome"
          value={job.subnet.laptopHome}
          hint="Its own address at home in it"
        />
        <Box sx={{ color: 'text.secondary', mt: 1 }}>
          Mask <span className="mono">{job.subnet.mask}</span>, hosts{' '}
          <span className="mono">{job.subnet.firstHost}</span> to{' '}
          <span className="mono">{job.subnet.lastHost}</span>, {job.subnet.hosts} in all. Worked out from the
          prefix.
        </Box>
        <PasteInterface job={job} />
      </Paper>
      <HouseRanges job={job} />
      <PasteNeighbours job={job} />
    </Page>
  )
}

interface FactProps {
  readonly job: Job
  readonly name: string
  readonly field: string
  readonly value: string
  readonly hint: string
}

function Fact({ job, name, field, value, hint }: FactProps) {
  return (
    <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', minHeight: 34 }}>
      <Box sx={{ width: 96, color: 'text.secondary' }}>{name}</Box>
      <Box className="mono">
        <EditCell
          job={job}
          item="subnet"
          id={job.subnet.id}
          field={field}
          value={value}
          label={`${name} of the house`}
          hint={hint}
        >
          {value}
        </EditCell>
      </Box>
    </Box>
  )
}
