import Box from '@mui/material/Box'
import ButtonBase from '@mui/material/ButtonBase'
import Table from '@mui/material/Table'
import TableBody from '@mui/material/TableBody'
import TableCell from '@mui/material/TableCell'
import TableHead from '@mui/material/TableHead'
import TableRow from '@mui/material/TableRow'
import { memo } from 'react'
import type { Job, Standing } from '../../shared/api/types'
import { age, shortAge } from '../../shared/ui/age'
import { useSteady } from '../../shared/ui/useSteady'
import type { Row } from './matrix'
import { standings } from '../../shared/ui/standings'
import { tests } from './words'

interface Props {
  readonly job: Job
  readonly rows: readonly Row[]
  readonly lines: ReadonlySet<number>
  readonly onLines: (lines: ReadonlySet<number>) => void
  readonly now: number
  readonly onOpen: (line: number, test: string) => void
}

/** Lines by tests; a mark opens what is behind it. */
export function ProveMatrix({ job, rows, lines, onLines, now, onOpen }: Props) {
  const all = lines.size === rows.length
  const open = useSteady(onOpen)
  return (
    <Table size="small" aria-label="Lines and their tests" sx={{ '& td, & th': { px: 0.5 } }}>
      <TableHead>
        <TableRow>
          <TableCell>
            <label>
              <input
                type="checkbox"
                className="tick"
                checked={all}
                onChange={() => onLines(new Set(all ? [] : rows.map((r) => r.line.id)))}
              />{' '}
              Line
            </label>
          </TableCell>
          {tests.map((t) => (
            <TableCell key={t.test} sx={{ textAlign: 'center', fontSize: '0.85rem' }}>
              {t.head}
            </TableCell>
          ))}
        </TableRow>
      </TableHead>
      <TableBody>
        {rows.map((row) => (
          <TableRow key={row.line.id} aria-label={row.line.name}>
            <TableCell sx={{ whiteSpace: 'nowrap' }}>
              <label>
                <input
                  type="checkbox"
                  className="tick"
                  checked={lines.has(row.line.id)}
                  aria-label={`Prove ${row.line.name}`}
                  onChange={() => onLines(toggled(lines, row.line.id))}
                />{' '}
                <b>{row.line.name}</b> {cameraName(job, row)}
              </label>
            </TableCell>
            {tests.map((t) => (
              <Mark
                key={t.test}
                line={row.line.id}
                test={t.test}
                standing={row.tests.get(t.test)}
                {...agesOf(row.tests.get(t.test), now)}
                onOpen={open}
              />
            ))}
          </TableRow>
        ))}
      </TableBody>
    </Table>
  )
}

/** Only where the camera is called otherwise than its line. */
function cameraName(job: Job, row: Row): string {
  const name = job.devices.find((d) => d.id === row.line.cameraId)?.name ?? ''
  return name === row.line.name ? '' : name
}

function toggled(lines: ReadonlySet<number>, line: number): ReadonlySet<number> {
  const next = new Set(lines)
  if (!next.delete(line)) next.add(line)
  return next
}

interface Ages {
  readonly since: string
  readonly short: string
}

function agesOf(standing: Standing | undefined, now: number): Ages {
  if (!standing?.since) return { since: '', short: '' }
  return { since: `, ${age(standing.since, now)}`, short: shortAge(standing.since, now) }
}

interface MarkProps extends Ages {
  readonly line: number
  readonly test: string
  readonly standing: Standing | undefined
  readonly onOpen: (line: number, test: string) => void
}

/** Drawn again when its own standing changes: there are a dozen of them for each line. */
const Mark = memo(function Mark({ line, test, standing, since, short, onOpen }: MarkProps) {
  if (!standing) return <TableCell />
  const [sign, word] = standings[standing.standing] ?? ['', standing.standing]
  const bad = standing.standing === 'differs' || standing.standing === 'failed'
  return (
    <TableCell sx={{ textAlign: 'center' }}>
      <ButtonBase
        onClick={() => onOpen(line, test)}
        title={`${word || 'does not apply'}${since}${standing.why ? `: ${standing.why}` : ''}`}
        aria-label={`${standing.name} ${standing.test}: ${word || 'does not apply'}${since}`}
        sx={{
          display: 'inline-flex',
          flexDirection: 'column',
          minWidth: 44,
          minHeight: 40,
          fontFamily: 'inherit',
          color: standing.standing === 'open' || word === '' ? 'text.secondary' : 'text.primary',
          fontWeight: bad ? 700 : 400,
        }}
      >
        <span aria-hidden="true">{sign}</span>
        <Box component="span" sx={{ fontSize: '0.75rem' }}>
          {word} {short}
        </Box>
      </ButtonBase>
    </TableCell>
  )
})
