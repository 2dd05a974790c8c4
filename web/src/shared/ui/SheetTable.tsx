import Table from '@mui/material/Table'
import TableBody from '@mui/material/TableBody'
import TableCell from '@mui/material/TableCell'
import TableHead from '@mui/material/TableHead'
import TableRow from '@mui/material/TableRow'
import { memo } from 'react'
import type { ReactNode, Ref } from 'react'
import { sameData } from '../same'

/** One column: its heading and what a row shows in it. */
export interface Column<Row> {
  /** Unique in its table. */
  readonly title: string
  /** What stands in the heading, where that is more than the title. */
  readonly head?: ReactNode
  readonly mono?: boolean
  /** In pixels; of a table that is as tall as its rows the browser finds out itself. */
  readonly width?: number
  /** Of the row alone, and of what the columns are made from: as long as they stay, no row is drawn again. */
  readonly cell: (row: Row) => ReactNode
}

export interface SheetProps<Row> {
  readonly label: string
  /** Remembered where there are many rows. */
  readonly columns: readonly Column<Row>[]
  readonly rows: readonly Row[]
  readonly rowKey: (row: Row) => string | number
  readonly rowLabel: (row: Row) => string
  /** Its place on the page, for links that lead right to it. */
  readonly rowId?: (row: Row) => string
}

/** The one table of the product: headings, ruled rows, addresses in mono. */
export function SheetTable<Row>({ label, columns, rows, rowKey, rowLabel, rowId }: SheetProps<Row>) {
  return (
    <Table size="small" aria-label={label}>
      <SheetHead columns={columns} />
      <TableBody>
        {rows.map((row) => (
          <SheetRow key={rowKey(row)} columns={columns} row={row} label={rowLabel(row)} id={rowId?.(row)} />
        ))}
      </TableBody>
    </Table>
  )
}

interface HeadProps<Row> {
  readonly columns: readonly Column<Row>[]
}

function PlainHead<Row>({ columns }: HeadProps<Row>) {
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

export const SheetHead = memo(PlainHead) as typeof PlainHead

interface RowProps<Row> {
  readonly columns: readonly Column<Row>[]
  readonly row: Row
  readonly label: string
  readonly id: string | undefined
  /** Of the row among all, in a table that draws only some. */
  readonly index?: number
  readonly measure?: Ref<HTMLTableRowElement>
}

function PlainRow<Row>({ columns, row, label, id, index, measure }: RowProps<Row>) {
  return (
    <tr
      data-row={label}
      id={id}
      ref={measure}
      data-index={index}
      aria-rowindex={index === undefined ? undefined : index + 2}
    >
      {columns.map((c) => (
        <SheetCell key={c.title} cell={c.cell} mono={c.mono ?? false} row={row} />
      ))}
    </tr>
  )
}

/** A row that says the same is the same row; what it is drawn with must be the very same. */
function sameRow<Props extends { readonly row: unknown }>(before: Props, after: Props): boolean {
  const names = Object.keys(before) as (keyof Props)[]
  return names.every((n) => Object.is(before[n], after[n]) || n === 'row') && sameData(before.row, after.row)
}

export const SheetRow = memo(PlainRow, sameRow) as typeof PlainRow

interface CellProps<Row> {
  readonly cell: (row: Row) => ReactNode
  readonly mono: boolean
  readonly row: Row
}

/** As plain as can be: a screenful has hundreds, and scrolling draws them all the time. */
function PlainCell<Row>({ cell, mono, row }: CellProps<Row>) {
  return <td className={mono ? 'sheet-cell mono' : 'sheet-cell'}>{cell(row)}</td>
}

const SheetCell = memo(PlainCell, sameRow) as typeof PlainCell
