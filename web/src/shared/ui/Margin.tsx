import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { memo, useState } from 'react'
import { Link as RouterLink, useLocation } from 'react-router'
import { sameFix } from '../api/about'
import { rights } from '../api/changes'
import type { Finding, Fix, Job } from '../api/types'
import { FixDialog } from './FixDialog'
import { Waive, WaivedNote } from './Waive'

/** So many are drawn at first, and so many more at a time. */
const MOST = 100

interface Props {
  readonly job: Job
  readonly findings: readonly Finding[]
  readonly ofWorld: readonly Finding[]
  /** Starts folded even with something to say. */
  readonly folded?: boolean
}

/** The ruled margin: findings beside what they concern, stops first, each with why, source and fix. */
export function Margin({ job, findings, ofWorld, folded: wanted = false }: Props) {
  // With nothing to say it keeps out of the way, until somebody decides otherwise.
  const [choice, setFolded] = useState<boolean>()
  const folded = choice ?? (wanted || findings.length + ofWorld.length === 0)
  const [chosen, setChosen] = useState<Fix>()
  const [wished, setShown] = useState(MOST)
  const { hash } = useLocation()
  // One that is jumped to is drawn, however far down it stands.
  const shown = Math.max(wished, findings.findIndex((f) => hash === `#finding-${f.code}`) + 1)
  if (folded) {
    return (
      <Button
        onClick={() => setFolded(false)}
        sx={{ writingMode: 'vertical-rl', minWidth: 40, borderRadius: 0 }}
      >
        Findings ({ofWorld.length + findings.filter((f) => f.waiver === null).length}
        {stops(findings)})
      </Button>
    )
  }
  return (
    <Box
      component="aside"
      aria-label="Findings"
      sx={{
        width: 304,
        flexShrink: 0,
        borderLeft: '3px double',
        borderColor: 'divider',
        overflow: 'auto',
        px: 2,
        py: 2,
      }}
    >
      <Box sx={{ display: 'flex', justifyContent: 'space-between', alignItems: 'baseline' }}>
        <h2 style={{ fontSize: '1.05rem', margin: 0 }}>Findings</h2>
        <Button size="small" onClick={() => setFolded(true)}>
          Fold
        </Button>
      </Box>
      {ofWorld.map((f) => (
        <FindingNote key={f.key} job={job} finding={f} all={ofWorld} />
      ))}
      {findings.length + ofWorld.length === 0 && <p>Nothing stands against this page.</p>}
      {findings
        .slice(0, shown)
        .map((f) =>
          f.waiver === null ? (
            <FindingNote key={f.key} job={job} finding={f} all={findings} onFix={setChosen} />
          ) : (
            <WaivedNote key={f.key} job={job} finding={f} waiver={f.waiver} />
          ),
        )}
      {findings.length > shown && (
        <Button size="small" onClick={() => setShown(shown + MOST)} sx={{ my: 1 }}>
          Show {Math.min(MOST, findings.length - shown)} more of {findings.length}
        </Button>
      )}
      {chosen && (
        <FixDialog
          job={job}
          title={chosen.label}
          changes={chosen.changes}
          onClose={() => setChosen(undefined)}
        />
      )}
    </Box>
  )
}

function stops(findings: readonly Finding[]): string {
  const count = findings.filter((f) => f.severity === 'stop' && f.waiver === null).length
  return count === 0 ? '' : `, ${count} stop`
}

interface NoteProps {
  readonly job: Job
  readonly finding: Finding
  readonly all: readonly Finding[]
  /** Missing for what neither a change nor a waiver can clear. */
  readonly onFix?: (fix: Fix) => void
}

const FindingNote = memo(function FindingNote({ job, finding, all, onFix }: NoteProps) {
  const stop = finding.severity === 'stop'
  return (
    <Box
      component="section"
      data-code={finding.code}
      data-severity={finding.severity}
      id={`finding-${finding.code}`}
      sx={{ py: 1.5, borderTop: '1px solid', borderColor: 'divider' }}
    >
      <Box sx={{ display: 'flex', justifyContent: 'space-between', fontSize: '0.85rem' }}>
        <Box component="b" sx={{ color: stop ? 'error.main' : 'text.secondary' }}>
          <SeverityMark severity={finding.severity} /> {finding.severity}
        </Box>
        <Box className="mono" sx={{ color: 'text.secondary' }}>
          {finding.code}
        </Box>
      </Box>
      <Box sx={{ fontWeight: 600, mt: 0.5 }}>{finding.what}</Box>
      <Box sx={{ mt: 0.5 }}>{finding.why}</Box>
      <Box sx={{ mt: 0.5, color: 'text.secondary', fontSize: '0.88rem' }}>Rule: {finding.source}</Box>
      {finding.fixes.map((fix) => (
        <Box key={fix.label} sx={{ mt: 1 }}>
          <Button size="small" variant="outlined" onClick={() => onFix?.(fix)}>
            {fix.label} …
          </Button>
          {alsoClears(fix, finding, all)}
        </Box>
      ))}
      {MADE_ELSEWHERE.has(finding.code) && (
        <Button
          component={RouterLink}
          to={`/jobs/${job.id}/addresses?tab=secrets`}
          size="small"
          variant="outlined"
          sx={{ mt: 1 }}
        >
          Make passwords …
        </Button>
      )}
      {onFix && rights(job).plan && <Waive job={job} finding={finding} />}
    </Box>
  )
})

/** Findings that are cleared by passwords, which no change set may hold. */
const MADE_ELSEWHERE = new Set(['SEC-DEFAULT', 'SEC-REUSE'])

/** Names the other findings that offer the very same change: one cause, one fix. */
function alsoClears(fix: Fix, finding: Finding, all: readonly Finding[]) {
  const others = sameFix(all, fix).filter((f) => f.key !== finding.key)
  if (others.length === 0) return null
  return (
    <Box sx={{ color: 'text.secondary', fontSize: '0.88rem', mt: 0.5 }}>
      The same fix as for {others.map((f) => f.code).join(', ')}
    </Box>
  )
}

function SeverityMark({ severity }: { readonly severity: string }) {
  const shape = { stop: '▲', warn: '◆', note: '–' }[severity] ?? '–'
  return <span aria-hidden="true">{shape}</span>
}
