import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useState } from 'react'
import { editing, rights } from '../../shared/api/changes'
import { sentence } from '../../shared/api/client'
import type { AsFoundBody, Changes, Edit, FoundFact, Job } from '../../shared/api/types'
import { FixDialog } from '../../shared/ui/FixDialog'
import { RunProgress } from '../../shared/ui/RunProgress'
import type { Column } from '../../shared/ui/SheetTable'
import { SheetTable } from '../../shared/ui/SheetTable'
import { Trouble } from '../../shared/ui/Trouble'
import { age } from '../../shared/ui/age'
import { standings } from '../../shared/ui/standings'
import { useNow } from '../../shared/ui/useNow'
import { FoundDevices } from './FoundDevices'
import { LookDialog } from './LookDialog'
import { useAsFound } from './useAsFound'

interface Difference {
  readonly device: string
  readonly fact: FoundFact
}

const WRONG = new Set(['differs', 'failed'])

/** Devices as they were found beside as they are planned: asked one by one, or looked for. */
export function AsFound({ job }: { readonly job: Job }) {
  const it = useAsFound(job.id)
  const [looking, setLooking] = useState(false)
  const [following, setFollowing] = useState<Changes>()
  const may = rights(job).plan
  const now = useNow()
  const found = it.found.data ?? []
  const fills = found.flatMap((d) => d.facts).flatMap((f) => (f.fills && f.follow ? [f.follow] : []))
  const run = it.asking.data
  const look = it.look.data
  const busy = run?.state === 'running' || look?.state === 'running'
  const error = [it.found, it.asking, it.look, it.ask, it.start, it.endAsking, it.endLook].find(
    (q) => q.error,
  )?.error
  return (
    <Box sx={{ overflow: 'auto', flex: 1, minHeight: 240 }} tabIndex={0}>
      <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', mb: 1.5 }}>
        <Button
          variant="contained"
          onClick={() => it.ask.mutate()}
          disabled={!may || busy || it.ask.isPending}
        >
          Ask the devices
        </Button>
        <Button variant="outlined" onClick={() => setLooking(true)} disabled={!may || busy || !look}>
          Look for devices …
        </Button>
        {fills.length > 0 && (
          <Button variant="outlined" onClick={() => setFollowing(editing(...fills))} disabled={!may}>
            Note {fills.length} values the plan has none for …
          </Button>
        )}
      </Box>
      {error && <Trouble>{sentence(error)}</Trouble>}
      {run?.state === 'running' && (
        <RunProgress
          doing={run.doing}
          done={run.done}
          count={run.count}
          of="questions"
          cancelWords="Stop asking"
          onCancel={may ? () => it.endAsking.mutate() : undefined}
        />
      )}
      {it.found.data && found.length === 0 && (
        <p>
          Nothing was asked yet. “Ask the devices” asks each at its planned address or on its serial lead for
          its MAC, its firmware, its settings page (once, with the password that is kept), whether it takes
          control (VISCA, the D protocol, HTTP, panel link), its stream and its port; nothing moves. “Look for
          devices” finds what is on the network, planned or not.
        </p>
      )}
      {found.length > 0 && (
        <Differences found={found} may={may} onFollow={(edit) => setFollowing(editing(edit))} />
      )}
      {look && look.state !== 'none' && (
        <FoundDevices job={job} look={look} onCancel={may ? () => it.endLook.mutate() : undefined} />
      )}
      {found.length > 0 && (
        <>
          <Box component="h2" sx={{ typography: 'h2', mt: 2, mb: 0.5 }}>
            As found
          </Box>
          <SheetTable
            label="As found"
            columns={columnsOf(found, now)}
            rows={found}
            rowKey={(d) => d.deviceId}
            rowLabel={(d) => d.device}
          />
        </>
      )}
      {looking && look && (
        <LookDialog
          look={look}
          onStart={(start) => {
            setLooking(false)
            it.start.mutate(start)
          }}
          onClose={() => setLooking(false)}
        />
      )}
      {following && (
        <FixDialog
          job={job}
          title="The plan follows what was found"
          changes={following}
          onClose={() => setFollowing(undefined)}
        />
      )}
    </Box>
  )
}

/** What is not as planned, first: both values, and both ways out. */
function Differences(props: {
  readonly found: readonly AsFoundBody[]
  readonly may: boolean
  readonly onFollow: (edit: Edit) => void
}) {
  const rows: Difference[] = props.found.flatMap((d) =>
    d.facts.filter((f) => WRONG.has(f.standing)).map((fact) => ({ device: d.device, fact })),
  )
  if (rows.length === 0) return <p role="status">Nothing that was found differs from the plan.</p>
  const columns: readonly Column<Difference>[] = [
    { title: 'Device', cell: (r) => r.device },
    { title: 'What', cell: (r) => r.fact.words },
    { title: 'Planned', cell: (r) => <Value fact={r.fact} text={r.fact.planned} /> },
    { title: 'Found', cell: (r) => <Value fact={r.fact} text={r.fact.found} /> },
    {
      title: 'What to do',
      cell: (r) => {
        const { follow } = r.fact
        return follow ? (
          <>
            Correct it at the device, or{' '}
            <Button size="small" onClick={() => props.onFollow(follow)} disabled={!props.may}>
              let the plan follow …
            </Button>
          </>
        ) : (
          'Put it right there, then ask again; the margin says why, and what else can be done.'
        )
      },
    },
  ]
  return (
    <>
      <Box component="h2" sx={{ typography: 'h2', mb: 0.5 }}>
        Otherwise than planned: {rows.length}
      </Box>
      <SheetTable
        label="Otherwise than planned"
        columns={columns}
        rows={rows}
        rowKey={(r) => `${r.device} ${r.fact.what}`}
        rowLabel={(r) => r.device}
      />
    </>
  )
}

/** A column for each fact that is known of any of them. */
function columnsOf(found: readonly AsFoundBody[], now: number): readonly Column<AsFoundBody>[] {
  const facts = new Map(found.flatMap((d) => d.facts).map((f) => [f.what, f.words]))
  return [
    { title: 'Device', cell: (d) => d.device },
    ...[...facts].map(([what, words]) => ({
      title: words.charAt(0).toUpperCase() + words.slice(1),
      cell: (d: AsFoundBody) => <Fact fact={d.facts.find((f) => f.what === what)} now={now} />,
    })),
  ]
}

function Fact({ fact, now }: { readonly fact: FoundFact | undefined; readonly now: number }) {
  if (!fact) return <>–</>
  const [sign, word] = standings[fact.standing] ?? ['', fact.standing]
  return (
    <span title={`${word}, ${age(fact.since, now)}`}>
      {sign}&nbsp;{fact.found ? <Value fact={fact} text={fact.found} /> : word}
    </span>
  )
}

/** What is read sign by sign; the rest is words. */
const SIGNS: ReadonlySet<string> = new Set(['address', 'mac', 'firmware', 'certificate'])

function Value({ fact, text }: { readonly fact: FoundFact; readonly text: string }) {
  if (text === '') return <>–</>
  return SIGNS.has(fact.what) ? <span className="mono">{text}</span> : <>{text}</>
}
