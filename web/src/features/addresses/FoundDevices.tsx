import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import type { ReactNode } from 'react'
import { useState } from 'react'
import type { DiscoveryView, FoundBody, Job } from '../../shared/api/types'
import { RunProgress } from '../../shared/ui/RunProgress'
import type { Column } from '../../shared/ui/SheetTable'
import { SheetTable } from '../../shared/ui/SheetTable'

const VERDICTS: Readonly<Record<string, string>> = {
  'as-planned': '● as planned',
  'at-start': '○ at its start',
  elsewhere: '◪ elsewhere',
  another: '▲ another device',
  second: '▲ two devices',
  house: '– the house',
  unknown: '? not known',
}

const BY: Readonly<Record<string, string>> = {
  mac: 'by its MAC',
  'serial-number': 'by its serial number',
  profile: 'by its model',
  address: 'by its address',
}

const SERVICES: Readonly<Record<string, string>> = { web: 'page', rtsp: 'stream', probe: 'probe' }

const COLUMNS: readonly Column<FoundBody>[] = [
  {
    title: 'Address, MAC',
    mono: true,
    cell: (f) =>
      [f.address, ...(f.macs.length > 0 ? f.macs : ['MAC not told'])].map((t) => <Line key={t}>{t}</Line>),
  },
  {
    title: 'Is',
    cell: (f) => (
      <>
        <Line>{VERDICTS[f.verdict] ?? f.verdict}</Line>
        {f.device && (
          <Line>
            {f.verdict === 'another'
              ? `${f.device.name} is planned here`
              : `${f.device.name} ${BY[f.by] ?? ''}`}
          </Line>
        )}
      </>
    ),
  },
  {
    title: 'Calls itself',
    cell: (f) => (
      <>
        {(f.hardware || f.name) && <div>{f.hardware || f.name}</div>}
        <div>{f.services.map((s) => SERVICES[s] ?? s).join(', ') || 'its MAC only'}</div>
      </>
    ),
  },
  { title: 'What to do', cell: (f) => f.words },
]

function Line({ children }: { readonly children: ReactNode }) {
  return <div style={{ whiteSpace: 'nowrap' }}>{children}</div>
}

const RANK = ['second', 'another', 'elsewhere', 'unknown', 'at-start', 'as-planned', 'house']

interface Props {
  readonly job: Job
  readonly look: DiscoveryView
  readonly onCancel: (() => void) | undefined
}

/** What the last look at the network found; while it goes on, what it has found so far. */
export function FoundDevices({ look, onCancel }: Props) {
  const running = look.state === 'running'
  const [all, setAll] = useState(false)
  const sorted = [...look.found].sort((a, b) => RANK.indexOf(a.verdict) - RANK.indexOf(b.verdict))
  const fine = sorted.filter((f) => f.verdict === 'as-planned')
  const rows = all ? sorted : sorted.filter((f) => f.verdict !== 'as-planned')
  return (
    <Paper sx={{ p: 2, my: 2 }} data-look={look.state} aria-live="polite">
      {running ? (
        <RunProgress
          doing={look.doing}
          done={look.done}
          count={look.count}
          of="addresses"
          cancelWords="Stop looking"
          onCancel={onCancel}
        />
      ) : (
        <Box component="h2" sx={{ typography: 'h2', mb: 0.5 }}>
          On the network: {look.found.length} answered at {look.done} addresses
          {look.state === 'cancelled' && ' (stopped early)'}
        </Box>
      )}
      {look.why && <p>The look ended: {look.why}.</p>}
      {rows.length > 0 && (
        <SheetTable
          label="On the network"
          columns={COLUMNS}
          rows={rows}
          rowKey={(f) => f.address}
          rowLabel={(f) => f.address}
        />
      )}
      {fine.length > 0 && (
        <p style={{ marginBottom: 0 }}>
          ● {fine.length} as planned.{' '}
          <Button size="small" onClick={() => setAll(!all)}>
            {all ? 'Hide them' : 'Show them'}
          </Button>
        </p>
      )}
      {look.whyNothing.length > 0 && (
        <>
          <p>Nobody answered. What usually eats the answers, the likeliest first:</p>
          <ol>
            {look.whyNothing.map((why) => (
              <li key={why}>{why}</li>
            ))}
          </ol>
        </>
      )}
      {look.missing.length > 0 && look.found.length > 0 && (
        <p>
          <b>Nothing answered for {look.missing.length}:</b>{' '}
          {look.missing.map((d) => `${d.name} (${d.planned})`).join(', ')}. Is each up, its lead plugged, and
          set to its planned address?
        </p>
      )}
    </Paper>
  )
}
