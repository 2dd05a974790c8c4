import Box from '@mui/material/Box'
import ButtonBase from '@mui/material/ButtonBase'
import Paper from '@mui/material/Paper'
import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { get, sentence } from '../../shared/api/client'
import { jobKeys } from '../../shared/api/job'
import type { Job, RouteCell, RouteMatrix, RouteRow } from '../../shared/api/types'
import type { Column } from '../../shared/ui/SheetTable'
import { SheetTable } from '../../shared/ui/SheetTable'
import { Trouble } from '../../shared/ui/Trouble'
import { WaysDrawer } from './WaysDrawer'
import { functionWords } from './functionWords'

interface Picked {
  readonly line: number
  readonly function: string
}

/** Cameras by functions: who controls what, by which protocol; a cell opens the ways there are. */
export function ControlMatrix({ job }: { readonly job: Job }) {
  const [picked, setPicked] = useState<Picked>()
  const matrix = useQuery({
    queryKey: [...jobKeys.routes(job.id), job.version],
    queryFn: () => get<RouteMatrix>(`/api/jobs/${job.id}/routes`),
    placeholderData: keepPreviousData,
  })
  if (matrix.error) return <Trouble>{sentence(matrix.error)}</Trouble>
  if (!matrix.data) return null
  const { functions, rows } = matrix.data
  const used = functions.filter((f) => rows.some((r) => shows(cellOf(r, f))))
  const empty = functions.filter((f) => !used.includes(f))
  const columns: readonly Column<RouteRow>[] = [
    { title: 'Line', cell: (r) => <b style={{ fontSize: '1.1rem' }}>{r.name}</b> },
    ...used.map((f) => ({
      title: functionWords(f),
      cell: (r: RouteRow) => (
        <Way
          cell={cellOf(r, f)}
          label={`${functionWords(f)} of ${r.name}`}
          onOpen={() => setPicked({ line: r.line, function: f })}
        />
      ),
    })),
  ]
  return (
    <>
      <Paper data-scrolls="" tabIndex={0} sx={{ overflowX: 'auto', '& th, & td': { px: 0.75 } }}>
        <SheetTable
          label="Control routes"
          columns={columns}
          rows={rows}
          rowKey={(r) => r.line}
          rowLabel={(r) => r.name}
        />
      </Paper>
      <Box sx={{ color: 'text.secondary', mt: 1 }}>
        Bold is wanted from afar, plain works too. A cell opens the ways there are, side by side.
        {empty.length > 0 && ` No way, and wanted nowhere: ${empty.map(functionWords).join(', ')}.`}
      </Box>
      {picked && <WaysDrawer job={job} {...picked} onClose={() => setPicked(undefined)} />}
    </>
  )
}

const cellOf = (row: RouteRow, f: string) => row.cells.find((c) => c.function === f)
const shows = (cell?: RouteCell) => cell !== undefined && (cell.wanted || cell.ways > 0)

interface WayProps {
  readonly cell: RouteCell | undefined
  readonly label: string
  readonly onOpen: () => void
}

function Way({ cell, label, onOpen }: WayProps) {
  if (!cell || !shows(cell)) return <Box sx={{ color: 'text.secondary' }}>–</Box>
  return (
    <ButtonBase
      onClick={onOpen}
      aria-label={`Ways for ${label}`}
      sx={{
        font: 'inherit',
        textAlign: 'left',
        display: 'block',
        borderBottom: '1px dashed',
        borderColor: 'text.secondary',
        fontWeight: cell.wanted ? 600 : 400,
      }}
    >
      {cell.controller ? (
        <>
          {cell.controller}
          {cell.key !== null && <span className="mono"> {cell.key}</span>}
          {cell.chosen && ' ✓'}
          <Box component="span" sx={{ display: 'block', fontSize: '0.8rem', fontWeight: 400 }}>
            {cell.over}
          </Box>
        </>
      ) : (
        <Box component="span" sx={{ color: cell.wanted ? 'error.main' : 'text.secondary' }}>
          {cell.wanted ? '▲ no route' : `${cell.ways} possible`}
        </Box>
      )}
    </ButtonBase>
  )
}
