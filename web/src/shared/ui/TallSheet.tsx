import Box from '@mui/material/Box'
import Table from '@mui/material/Table'
import TableBody from '@mui/material/TableBody'
import { useVirtualizer } from '@tanstack/react-virtual'
import { useRef } from 'react'
import type { SheetProps } from './SheetTable'
import { SheetHead, SheetRow } from './SheetTable'

const ROW_HEIGHT = 40

/** The same table for thousands of rows: it scrolls by itself and draws only what is in sight. */
export function TallSheet<Row>(props: SheetProps<Row>) {
  const scroller = useRef<HTMLDivElement>(null)
  // It keeps its own state and is read anew with every draw, so it must not be remembered.
  // oxlint-disable-next-line react/incompatible-library
  const rows = useVirtualizer({
    count: props.rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW_HEIGHT,
    overscan: 6,
  })
  const shown = rows.getVirtualItems()
  const before = shown[0]?.start ?? 0
  const after = rows.getTotalSize() - (shown.at(-1)?.end ?? 0)
  return (
    <Box ref={scroller} data-scrolls="" tabIndex={-1} sx={{ overflow: 'auto', flex: 1, minHeight: 240 }}>
      <Table
        size="small"
        stickyHeader
        aria-label={props.label}
        aria-rowcount={props.rows.length + 1}
        sx={{
          tableLayout: 'fixed',
          '& th, & td': { px: 0.75, py: 0.75 },
          '& .mono': { fontSize: '0.9rem' },
          minWidth: props.columns.reduce((sum, c) => sum + (c.width ?? 120), 0),
        }}
      >
        <SheetHead columns={props.columns} />
        <TableBody>
          <Gap height={before} columns={props.columns.length} />
          {shown.map((item) => {
            const row = props.rows[item.index]
            return row === undefined ? null : (
              <SheetRow
                key={props.rowKey(row)}
                columns={props.columns}
                row={row}
                label={props.rowLabel(row)}
                id={props.rowId?.(row)}
                index={item.index}
                measure={rows.measureElement}
              />
            )
          })}
          <Gap height={after} columns={props.columns.length} />
        </TableBody>
      </Table>
    </Box>
  )
}

/** The room of rows that are not drawn. */
function Gap({ height, columns }: { readonly height: number; readonly columns: number }) {
  if (height <= 0) return null
  return (
    <tr aria-hidden="true">
      <td colSpan={columns} style={{ height, padding: 0, border: 0 }} />
    </tr>
  )
}
