import Table from '@mui/material/Table'
import TableBody from '@mui/material/TableBody'
import TableCell from '@mui/material/TableCell'
import TableHead from '@mui/material/TableHead'
import TableRow from '@mui/material/TableRow'
import type { ReactNode } from 'react'

/** One column: its heading and what a row shows in it. */
export interface Column<Row> {
  readonly title: string
  readonly mono?: boolean
  readonly cell: (row: Row) => ReactNode
}

interface Props<Row> {
  readonly label: string
  readonly columns: readonly Column<Row>[]
  readonly rows: readonly Row[]
  readonly rowKey: (row: Row) => string | number
  readonly rowLabel: (row: Row) => string
  /** Its place on the page, for links that lead right to it. */
  readonly rowId?: (row: Row) => string
}

/** The one table of the product: headings, ruled rows, addresses in mono. */
export function SheetTable<Row>({ label, columns, rows, rowKey, rowLabel, rowId }: Props<Row>) {
  return (
    <Table size="small" aria-label={label}>
      <TableHead>
        <TableRow>
          {columns.map((c) => (
            <TableCell key={c.title}>{c.title}</TableCell>
          ))}
        </TableRow>
      </TableHead>
      <TableBody>
        {rows.map((row) => (
          <TableRow key={rowKey(row)} data-row={rowLabel(row)} id={rowId?.(row)}>
            {columns.map((c) => (
              <TableCell key={c.title} className={c.mono ? 'mono' : undefined}>
                {c.cell(row)}
              </TableCell>
            ))}
          </TableRow>
        ))}
      </TableBody>
    </Table>
  )
}
