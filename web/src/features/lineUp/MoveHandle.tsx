import ButtonBase from '@mui/material/ButtonBase'
import type { KeyboardEvent } from 'react'
import type { Line } from '../../shared/api/types'

interface Props {
  readonly line: Line
  /** By how many places; up is below 0. */
  readonly onMove: (by: number) => void
}

/** Takes a line up or down: by dragging, or with the arrow keys while it has the focus. */
export function MoveHandle({ line, onMove }: Props) {
  const onKey = (e: KeyboardEvent) => {
    const by = e.key === 'ArrowUp' ? -1 : e.key === 'ArrowDown' ? 1 : 0
    if (by === 0) return
    e.preventDefault()
    onMove(by)
  }
  return (
    <ButtonBase
      id={`move-${line.id}`}
      draggable
      onDragStart={(e) => e.dataTransfer.setData('text/jerboa-line', String(line.id))}
      onKeyDown={onKey}
      aria-label={`Move ${line.name}: arrow up or down, or drag`}
      title="Drag, or arrow keys"
      sx={{
        cursor: 'grab',
        fontSize: '1.1rem',
        letterSpacing: -4,
        minWidth: 24,
        minHeight: 32,
        color: 'text.secondary',
      }}
    >
      ⋮⋮
    </ButtonBase>
  )
}
