import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useMutation } from '@tanstack/react-query'
import type { ReactNode } from 'react'
import { useState } from 'react'
import { rights } from '../../shared/api/changes'
import { post, sentence } from '../../shared/api/client'
import type { Changes, Job, SeenRun, WiringView } from '../../shared/api/types'
import { FixDialog } from '../../shared/ui/FixDialog'
import type { Column } from '../../shared/ui/SheetTable'
import { SheetTable } from '../../shared/ui/SheetTable'
import { Trouble } from '../../shared/ui/Trouble'

const VERDICTS: Readonly<Record<string, string>> = {
  'as-planned': '● as planned',
  elsewhere: '◪ elsewhere',
  unplanned: '◪ not planned',
  'not-heard': '○ not heard',
  'no-mac': '○ no MAC noted',
}

const COLUMNS: readonly Column<SeenRun>[] = [
  {
    title: 'Device, its MAC',
    cell: (r) => (
      <>
        <b>{r.device}</b>
        <div className="mono">{r.mac || 'none noted'}</div>
      </>
    ),
  },
  { title: 'Planned at', cell: (r) => <OneLine>{r.planned || 'no run'}</OneLine> },
  { title: 'Seen at', cell: (r) => <OneLine>{r.seen || '–'}</OneLine> },
  { title: 'The port tells', cell: (r) => r.port || 'not told' },
  {
    title: 'So',
    cell: (r) => (
      <>
        <OneLine>{VERDICTS[r.verdict]}</OneLine>
        {r.next && <div>{r.next}</div>}
      </>
    ),
  },
]

function OneLine({ children }: { readonly children: ReactNode }) {
  return <span style={{ whiteSpace: 'nowrap' }}>{children}</span>
}

/** Which device hangs on which port, as the network switches tell it, beside the planned runs. */
export function SeenWiring({ job }: { readonly job: Job }) {
  const [following, setFollowing] = useState<Changes>()
  const ask = useMutation({
    mutationFn: () => post<WiringView>(`/api/jobs/${job.id}/wiring/ask`, {}),
  })
  const seen = ask.data
  const elsewhere = seen?.runs.filter((r) => r.verdict === 'elsewhere').length ?? 0
  return (
    <Box sx={{ overflow: 'auto', flex: 1, minHeight: 240 }} tabIndex={0}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, flexWrap: 'wrap', mb: 1.5 }}>
        <Button
          variant="contained"
          onClick={() => ask.mutate()}
          disabled={ask.isPending || !rights(job).plan}
        >
          {ask.isPending ? 'Asking the switches …' : seen ? 'Ask again' : 'Ask the switches'}
        </Button>
        {elsewhere > 0 && seen && (
          <Button variant="outlined" onClick={() => setFollowing(seen.follows)}>
            Let the plan follow: {elsewhere} …
          </Button>
        )}
      </Box>
      {ask.error && <Trouble>{sentence(ask.error)}</Trouble>}
      {!seen && (
        <p>
          A managed network switch knows which device it has heard on which port (SNMP, read only). Asked when
          you press, at its planned address; nothing in it is changed.
        </p>
      )}
      {seen && <Switches switches={seen.switches} />}
      {seen && seen.runs.length > 0 && (
        <SheetTable
          label="Wiring seen"
          columns={COLUMNS}
          rows={seen.runs}
          rowKey={(r) => `${r.deviceId}`}
          rowLabel={(r) => r.device}
        />
      )}
      {seen && seen.unknown.length > 0 && (
        <>
          <Box component="h2" sx={{ typography: 'h2', mb: 0.5 }}>
            Not of this job: {seen.unknown.length}
          </Box>
          <ul style={{ margin: 0, paddingLeft: 20 }}>
            {seen.unknown.map((u) => (
              <li key={u.mac}>
                <span className="mono">{u.mac}</span> at {u.seen}
              </li>
            ))}
          </ul>
        </>
      )}
      {following && (
        <FixDialog
          job={job}
          title="The plan follows what was seen"
          changes={following}
          onClose={() => {
            setFollowing(undefined)
            ask.mutate()
          }}
        />
      )}
    </Box>
  )
}

/** Who answered, and why the others did not. */
function Switches({ switches }: { readonly switches: WiringView['switches'] }) {
  if (switches.length === 0) return <p>There is no network switch in this job: put it on the van, on Kit.</p>
  return (
    <ul style={{ marginTop: 0, paddingLeft: 20 }}>
      {switches.map((s) => (
        <li key={s.id}>
          {s.why === '' ? (
            <>
              <b>{s.name}</b> answered: {s.told}, {s.portsUp} ports with a link
              {s.givenWatts !== null && `, gives ${s.givenWatts} W of ${s.budgetWatts} W`}.
            </>
          ) : (
            s.why
          )}
        </li>
      ))}
    </ul>
  )
}
