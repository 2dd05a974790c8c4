import Box from '@mui/material/Box'
import ButtonBase from '@mui/material/ButtonBase'
import Table from '@mui/material/Table'
import TableBody from '@mui/material/TableBody'
import TableCell from '@mui/material/TableCell'
import TableHead from '@mui/material/TableHead'
import TableRow from '@mui/material/TableRow'
import type { Job, Standing } from '../../shared/api/types'
import { age, shortAge } from '../../shared/ui/age'
import type { Row } from './matrix'
import { standings } from '../../shared/ui/standings'
import { tests } from './words'

interface Props {
  readonly job: Job
  readonly rows: readonly Row[]
  readonly lines: ReadonlySet<number>
  readonly onLines: (lines: ReadonlySet<number>) => void
  readonly now: number
  readonly onOpen: (row: Row, test: string) => void
}

/** Lines by tests; a mark opens what is behind it. */
export function ProveMatrix({ job, rows, lines, onLines, now, onOpen }: Props) {
  const all = lines.size === rows.length
  return (
    <Table size="small" aria-label="Lines and their tests" sx={{ '& td, & th': { px: 0.5 } }}>
      <TableHead>
        <TableRow>
          <TableCell>
            <label>
              <input
                type="checkbox"
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
                  checked={lines.has(row.line.id)}
                  aria-label={`Prove ${row.line.name}`}
                  onChange={() => onLines(toggled(lines, row.line.id))}
                />{' '}
                <b>{row.line.name}</b> {cameraName(job, row)}
              </label>
            </TableCell>
            {tests.map((t) => (
              <TableCell key={t.test} sx={{ textAlign: 'center' }}>
                <Mark standing={row.tests.get(t.test)} now={now} onOpen={() => onOpen(row, t.test)} />
              </TableCell>
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

interface MarkProps {
  readonly standing: Standing | undefined
  readonly now: number
  readonly onOpen: () => void
}

function Mark({ standing, now, onOpen }: MarkProps) {
  if (!standing) return null
  const [sign, word] = standings[standing.standing] ?? ['', standing.standing]
  const since = standing.since ? `, ${age(standing.since, now)}` : ''
  const bad = standing.standing === 'differs' || standing.standing === 'failed'
  return (
    <ButtonBase
      onClick={onOpen}
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
        {word} {standing.since && shortAge(standing.since, now)}
      </Box>
    </ButtonBase>
  )
}
