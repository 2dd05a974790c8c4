import Box from '@mui/material/Box'
import Paper from '@mui/material/Paper'
import type { Job } from '../../shared/api/types'
import { length } from '../../shared/format/length'
import { formats } from '../../shared/formats'
import { ChoiceCell } from '../../shared/ui/ChoiceCell'
import { EditCell } from '../../shared/ui/EditCell'
import { Fact } from '../../shared/ui/Fact'

const units = { m: 'metres', ft: 'feet' }
const clocks = { '24-hour': '14:03, by 24 hours', '12-hour': '2:03 PM, by 12 hours' }
const numbering = {
  numbers: 'numbers: L1, L2, L3',
  letters: 'letters: LA, LB, LC',
  'from-zero': 'from zero: L0, L1, L2',
}

/** What holds for the whole job: format, units, numbering, and what is kept free. */
export function Habits({ job }: { readonly job: Job }) {
  const site = job.site
  const choice = (field: string, value: string, label: string, choices: Readonly<Record<string, string>>) => (
    <ChoiceCell
      job={job}
      item="site"
      id={site.id}
      field={field}
      value={value}
      label={label}
      choices={choices}
    />
  )
  const text = (field: string, value: string, label: string, hint: string, shown: string, typing = value) => (
    <EditCell
      job={job}
      item="site"
      id={site.id}
      field={field}
      value={value}
      typing={typing}
      label={label}
      hint={hint}
    >
      {shown}
    </EditCell>
  )
  return (
    <Paper sx={{ p: 2, mb: 2 }} component="section" aria-label="Standard and habits">
      <Box component="h2" sx={{ typography: 'h2', mt: 0, mb: 1 }}>
        Standard and habits
      </Box>
      <Fact name="Picture format">{choice('standard', site.standard, 'Picture format', formats)}</Fact>
      <Fact name="Lengths in">{choice('units', site.units, 'Lengths in', units)}</Fact>
      <Fact name="Times are read">{choice('clock', site.clock, 'Clock', clocks)}</Fact>
      <Fact name="Cameras are">{choice('numbering', site.numbering, 'Numbering', numbering)}</Fact>
      <Fact name="Power kept free">
        {text(
          'powerHeadroom',
          String(site.powerHeadroom),
          'Power headroom in per cent',
          'Per cent of a switch’s budget, 20 is usual',
          `${site.powerHeadroom} % of a switch’s budget`,
        )}
      </Fact>
      <Fact name="Link kept free">
        {text(
          'linkHeadroom',
          String(site.linkHeadroom),
          'Link headroom in per cent',
          'Per cent of a link, 25 is usual',
          `${site.linkHeadroom} % of a link`,
        )}
      </Fact>
      <Fact name="Overhead fixings hold">
        {text(
          'fixingFactor',
          String(site.fixingFactor),
          'Fixing factor',
          'Times the load that hangs; 5 is usual, local codes go before',
          `${site.fixingFactor} times what hangs`,
        )}
      </Fact>
      <Fact name="Usual run">
        {text(
          'usualRun',
          site.usualRun,
          'Usual length of a run',
          'Until it is measured. 30, 24.5 m, 80ft and 6\' 3" all work',
          length(site.usualRun, site.units),
          length(site.usualRun, site.units),
        )}
      </Fact>
      <Fact name="Line to the outside">
        {text(
          'uplink',
          String(site.uplink ?? ''),
          'Line to the outside in Mb/s',
          'Mb/s upwards, as measured; empty for none',
          site.uplink !== null ? `${site.uplink} Mb/s upwards` : 'none noted',
        )}
      </Fact>
      <Fact name="Programme goes out">
        {text(
          'outgoing',
          String(site.outgoing ?? ''),
          'Programme bit rate in Mb/s',
          'Mb/s to the service; empty for none',
          site.outgoing !== null ? `at ${site.outgoing} Mb/s` : 'nowhere',
        )}{' '}
        to{' '}
        {text('service', site.service, 'Service', 'its name, without any key', site.service || 'no service')}
      </Fact>
    </Paper>
  )
}
