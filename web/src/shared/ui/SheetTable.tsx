import Table from '@mui/material/Table'
import TableBody from '@mui/material/TableBody'
import TableCell from '@mui/material/TableCell'
import TableHead from '@mui/material/TableHead'
import TableRow from '@mui/material/TableRow'
import type { ReactNode, Ref } from 'react'

/** One column: its heading and what a row shows in it. */
export interface Column<Row> {
  /** Unique in its table. */
  readonly title: string
  /** What stands in the heading, where that is more than the title. */
  readonly head?: ReactNode
  readonly mono?: boolean
  /** In pixels; of a table that is as tall as its rows the browser finds out itself. */
  readonly width?: number
  readonly cell: (row: Row) => ReactNode
}

export interface SheetProps<Row> {
  readonly label: string
  readonly columns: readonly Column<Row>[]
  readonly rows: readonly Row[]
  readonly rowKey: (row: Row) => string | number
  readonly rowLabel: (row: Row) => string
  /** Its place on the page, for links that lead right to it. */
  readonly rowId?: (row: Row) => string
}

/** The one table of the product: headings, ruled rows, addresses in mono. */
export function SheetTable<Row>(props: SheetProps<Row>) {
  return (
    <Table size="small" aria-label={props.label}>
      <SheetHead columns={props.columns} />
      <TableBody>
        {props.rows.map((row) => (
          <SheetRow key={props.rowKey(row)} sheet={props} row={row} />
        ))}
      </TableBody>
    </Table>
  )
}

export function SheetHead<Row>({ columns }: { readonly columns: readonly Column<Row>[] }) {
  return (
    <TableHead>
      <TableRow>
        {columns.map((c) => (
          <TableCell key={c.title} style={c.width ? { width: c.width } : undefined}>
            {c.head ?? c.title}
          </TableCell>
        ))}
      </TableRow>
    </TableHead>
  )
}

interface RowProps<Row> {
  readonly sheet: SheetProps<Row>
  readonly row: Row
  /** Of the row among all, in a table that draws only some. */
  readonly index?: number
  readonly measure?: Ref<HTMLTableRowElement>
}

export function SheetRow<Row>({ sheet, row, index, measure }: RowProps<Row>) {
  return (
    <TableRow
      data-row={sheet.rowLabel(row)}
      id={sheet.rowId?.(row)}
      ref={measure}
      data-index={index}
      aria-rowindex={index === undefined ? undefined : index + 2}
    >
      {sheet.columns.map((c) => (
        <TableCell key={c.title} className={c.mono ? 'mono' : undefined}>
          {c.cell(row)}
        </TableCell>
      ))}
    </TableRow>
  )
}
