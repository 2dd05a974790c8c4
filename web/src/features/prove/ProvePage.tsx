import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useMemo, useState } from 'react'
import { about } from '../../shared/api/about'
import { rights } from '../../shared/api/changes'
import { sentence } from '../../shared/api/client'
import type { Job } from '../../shared/api/types'
import { Page } from '../../shared/ui/Page'
import { Trouble } from '../../shared/ui/Trouble'
import { useNow } from '../../shared/ui/useNow'
import { EvidenceDrawer } from './EvidenceDrawer'
import { LeftToProve } from './LeftToProve'
import { rowsOf } from './matrix'
import { ProveMatrix } from './ProveMatrix'
import { RunDialog } from './RunDialog'
import { RunStatus } from './RunStatus'
import { useProve } from './useProve'
import { standings } from '../../shared/ui/standings'

/** How far every line is proved: what a machine can ask it asks, for the rest a person looks. */
export function ProvePage({ job }: { readonly job: Job }) {
  const prove = useProve(job.id)
  const rows = useMemo(() => rowsOf(job.lines, prove.standings.data ?? []), [job.lines, prove.standings.data])
  const [off, setOff] = useState<ReadonlySet<number>>(new Set())
  const [opened, setOpened] = useState<{ readonly line: number; readonly test: string }>()
  const [asking, setAsking] = useState(false)
  const now = useNow()
  const view = prove.run.data
  const lines = new Set(rows.map((r) => r.line.id).filter((id) => !off.has(id)))
  const row = rows.find((r) => r.line.id === opened?.line)
  const actions = view && rights(job).drive && job.lines.length > 0 && (
    <Button
      variant="contained"
      onClick={() => setAsking(true)}
      disabled={view.state === 'running' || lines.size === 0}
    >
      Prove by machine …
    </Button>
  )
  return (
    <Page
      title="Prove"
      job={job}
      findings={about(job.findings, ['evidence'])}
      folded
      actions={actions}
      keys={[
        ['Enter on a mark', 'opens what is behind it'],
        ['Space, Esc', 'STOP ALL while tests run'],
      ]}
    >
      {(prove.standings.error ?? prove.run.error) && (
        <Trouble>{sentence(prove.standings.error ?? prove.run.error)}</Trouble>
      )}
      {view && <RunStatus view={view} may={rights(job).drive} prove={prove} />}
      {job.lines.length === 0 ? (
        <p>No lines yet: add cameras on the Kit page, and their lines are made. Then each is proved here.</p>
      ) : (
        <>
          <Box sx={{ overflowX: 'auto' }} tabIndex={0}>
            <ProveMatrix
              job={job}
              rows={rows}
              lines={lines}
              onLines={(on) => setOff(new Set(rows.map((r) => r.line.id).filter((id) => !on.has(id))))}
              now={now}
              onOpen={(line, test) => setOpened({ line, test })}
            />
          </Box>
          <Legend />
          {prove.left.data && (
            <LeftToProve left={prove.left.data} onOpen={(line, test) => setOpened({ line, test })} />
          )}
        </>
      )}
      {row && opened && (
        <EvidenceDrawer
          job={job}
          row={row}
          test={opened.test}
          may={rights(job).plan}
          prove={prove}
          onClose={() => setOpened(undefined)}
        />
      )}
      {asking && view && (
        <RunDialog
          rows={rows}
          lines={lines}
          view={view}
          start={prove.start}
          onClose={() => setAsking(false)}
        />
      )}
    </Page>
  )
}

const meanings: Readonly<Record<string, string>> = {
  asked: 'the device or the network answered',
  seen: 'a person looked',
  told: 'a person ticked it',
  open: 'nothing known',
  'cannot-tell': 'could not be told',
  differs: 'otherwise than planned',
  failed: 'did not work',
  stale: 'proved before something changed',
  'not-applicable': 'does not apply; the mark says why',
}

function Legend() {
  return (
    <Box
      sx={{
        display: 'flex',
        flexWrap: 'wrap',
        columnGap: 2.5,
        color: 'text.secondary',
        fontSize: '0.9rem',
        mt: 1.5,
      }}
    >
      {Object.entries(standings).map(([standing, [sign, word]]) => (
        <span key={standing}>
          {sign} {word} – {meanings[standing]}
        </span>
      ))}
    </Box>
  )
}
