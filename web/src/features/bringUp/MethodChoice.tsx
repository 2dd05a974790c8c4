import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import FormControlLabel from '@mui/material/FormControlLabel'
import Paper from '@mui/material/Paper'
import Radio from '@mui/material/Radio'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import { useState } from 'react'
import { sentence } from '../../shared/api/client'
import type { Job, MethodRow, Methods } from '../../shared/api/types'
import { duration } from '../../shared/format/duration'
import type { Column } from '../../shared/ui/SheetTable'
import { SheetTable } from '../../shared/ui/SheetTable'
import { Trouble } from '../../shared/ui/Trouble'
import { Timing } from './Timing'
import type { useBringUp } from './useBringUp'
import { useMethods } from './useBringUp'
import { methodWords } from './words'
import { counted } from '../../shared/format/counted'

interface Props {
  readonly job: Job
  /** Whoever may not only looks on. */
  readonly may: boolean
  readonly start: ReturnType<typeof useBringUp>['start']
}

/** Before a bring-up is begun: every way to do it side by side, with its time. */
export function MethodChoice({ job, may, start }: Props) {
  const [workshop, setWorkshop] = useState(false)
  const [chosen, setChosen] = useState<string>()
  const query = useMethods(job, workshop)
  if (query.error) return <Trouble>{sentence(query.error)}</Trouble>
  const view = query.data
  if (!view) return <Paper sx={{ p: 3 }}>Working the methods out …</Paper>
  if (view.devices === 0 && view.methods.every((m) => m.steps === 0)) {
    return (
      <Paper sx={{ p: 3 }}>
        Every device with a planned address is set: there is nothing to bring up. Devices without an address
        get one on the Addresses page.
      </Paper>
    )
  }
  const method = chosen ?? view.recommended
  const row = view.methods.find((m) => m.method === method)
  return (
    <Paper sx={{ p: 2.5 }}>
      <Box component="h2" sx={{ typography: 'h2', mt: 0, mb: 1 }}>
        {counted(view.devices, 'new device', 'new devices')}, one technician
      </Box>
      {view.blockedBy.length > 0 ? (
        <Trouble>
          <b>Clear these on the Addresses page first, or they would be typed into the devices:</b>
          <ul style={{ margin: '4px 0' }}>
            {view.blockedBy.map((b) => (
              <li key={b}>{b}</li>
            ))}
          </ul>
        </Trouble>
      ) : (
        <>
          <Where view={view} workshop={workshop} onChange={setWorkshop} />
          <Box role="radiogroup" aria-label="Method">
            <SheetTable
              label="Methods"
              columns={columns(view, method, setChosen)}
              rows={view.methods}
              rowKey={(m) => m.method}
              rowLabel={(m) => methodWords[m.method] ?? m.method}
            />
          </Box>
          <p>
            Recommended: <b>{methodWords[view.recommended]}</b>. {view.reason} Times are for the addresses
            alone
            {view.methods.some((m) => !m.exact) &&
              '; with more than six devices the order is a good one, not proved the least'}
            .
          </p>
        </>
      )}
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
        <Button
          variant="contained"
          size="large"
          onClick={() => start.mutate({ method, workshop })}
          disabled={view.blockedBy.length > 0 || start.isPending || !may}
        >
          Start the bring-up
        </Button>
        {row && (
          <Button
            variant="outlined"
            size="large"
            href={`/api/jobs/${job.id}/bring-up/sheet.pdf?method=${method}&workshop=${workshop}`}
            download
          >
            Run sheet on paper
          </Button>
        )}
        {row && (
          <span>
            {row.steps} steps, about <b>{duration(row.allSeconds)}</b>, with what is set in reach and put into
            controllers
          </span>
        )}
      </Box>
      {start.error && <Trouble>{sentence(start.error)}</Trouble>}
      <Timing job={job} view={view} />
    </Paper>
  )
}

interface WhereProps {
  readonly view: Methods
  readonly workshop: boolean
  readonly onChange: (workshop: boolean) => void
}

function Where({ view, workshop, onChange }: WhereProps) {
  return (
    <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap', mb: 1 }}>
      <ToggleButtonGroup
        exclusive
        size="small"
        value={workshop}
        onChange={(_, value: boolean | null) => value !== null && onChange(value)}
        aria-label="Where"
      >
        <ToggleButton value={false}>On site</ToggleButton>
        <ToggleButton value={true}>In the workshop</ToggleButton>
      </ToggleButtonGroup>
      <Box sx={{ flex: 1, minWidth: 260 }}>
        {view.workshopAdvised
          ? `The workshop is advised: ${view.high} will hang out of reach, and there is time before the van leaves.`
          : view.high
            ? `${view.high} will hang out of reach: where there is time before the van leaves, the workshop is easier (note the minutes below).`
            : 'Nothing will hang out of reach.'}
      </Box>
    </Box>
  )
}

function columns(
  view: Methods,
  chosen: string,
  onChoose: (method: string) => void,
): readonly Column<MethodRow>[] {
  return [
    {
      title: 'Method',
      cell: (m) => (
        <FormControlLabel
          control={<Radio size="small" checked={m.method === chosen} onChange={() => onChoose(m.method)} />}
          label={
            <>
              {methodWords[m.method]}
              {m.method === view.recommended && <b> ✓ recommended</b>}
            </>
          }
        />
      ),
    },
    {
      title: 'Time',
      cell: (m) => (
        <>
          <b style={{ whiteSpace: 'nowrap' }}>{duration(m.seconds)}</b>
        </>
      ),
    },
    { title: 'Laptop', cell: laptopWords },
    {
      title: 'Cannot reach these',
      cell: (m) => m.otherwise || 'none',
    },
  ]
}

function laptopWords(m: MethodRow): string {
  const parts = []
  if (m.hops > 0) parts.push(`${m.hops} ${m.hops === 1 ? 'hop' : 'hops'}`)
  if (m.addresses > 0) parts.push(`${m.addresses} more ${m.addresses === 1 ? 'address' : 'addresses'}`)
  return parts.join(', ') || 'stays as it is'
}
