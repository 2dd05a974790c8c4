import Box from '@mui/material/Box'
import type { SheetView } from '../../shared/api/types'
import type { Column } from '../../shared/ui/SheetTable'
import { SheetTable } from '../../shared/ui/SheetTable'
import { counted } from '../../shared/format/counted'

const SHOWN = 100

type Good = SheetView['good'][number]

const columns: readonly Column<Good>[] = [
  { title: 'Row', mono: true, cell: (r) => r.line },
  { title: 'What happens', cell: (r) => (r.count === 0 ? `changes ${r.name}` : `adds ${r.count}`) },
  { title: 'Profile', cell: (r) => r.profile },
  { title: 'Name', cell: (r) => r.name || 'worked out' },
  { title: 'MAC', mono: true, cell: (r) => r.values.mac ?? '' },
  { title: 'Serial number', mono: true, cell: (r) => r.values.serialNumber ?? '' },
  {
    title: 'More',
    mono: true,
    cell: (r) => [r.values.firmware, r.values.address, r.values.condition].filter(Boolean).join(', '),
  },
]

/** What becomes of each row: taken, or left out and why. */
export function SheetPreview({ seen }: { readonly seen: SheetView }) {
  return (
    <>
      {seen.bad.length > 0 && (
        <Box component="section" aria-label="Left out">
          <b>{counted(seen.bad.length, 'row is', 'rows are')} left out:</b>
          <Box component="ul" sx={{ my: 0.5, pl: 2.5, maxHeight: 160, overflow: 'auto' }}>
            {seen.bad.map((b) => (
              <li key={b.line}>
                row {b.line}, <span className="mono">{b.text}</span>: {b.reason}
              </li>
            ))}
          </Box>
        </Box>
      )}
      {seen.good.length > 0 && (
        <SheetTable
          label="Rows to take over"
          columns={columns}
          rows={seen.good.slice(0, SHOWN)}
          rowKey={(r) => r.line}
          rowLabel={(r) => String(r.line)}
        />
      )}
      {seen.good.length > SHOWN && <Box>and {seen.good.length - SHOWN} more rows like these.</Box>}
    </>
  )
}
