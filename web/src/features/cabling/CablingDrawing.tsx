import Box from '@mui/material/Box'
import { useTheme } from '@mui/material/styles'
import type { Theme } from '@mui/material/styles'
import { memo, useMemo, useRef } from 'react'
import type { KeyboardEvent, MouseEvent } from 'react'
import type { CablingView, DrawnShape } from '../../shared/api/types'
import { runsInOrder } from './runOrder'

type Drawing = CablingView['drawing']

interface Props {
  readonly drawing: Drawing
  readonly selected: number | undefined
  readonly onSelect: (run: number) => void
}

/** Room around the drawing, so that no line lies on the edge. */
const EDGE = 8

/** How long a bar is, in drawing units. */
const BAR = 240

/**
 * The computed drawing. Shapes are drawn once for each version of the job; which run is marked is
 * an overlay, so that moving along the runs draws nothing else anew.
 */
export function CablingDrawing({ drawing, selected, onSelect }: Props) {
  const order = useMemo(() => runsInOrder(drawing.shapes), [drawing])
  const frame = useRef<HTMLDivElement>(null)
  const marked = useRef<number>(undefined)
  const mark = (run: number | undefined) => {
    marked.current = run
    const svg = frame.current?.querySelector('svg')
    svg?.querySelectorAll('[data-marked]').forEach((e) => e.removeAttribute('data-marked'))
    const shapes = svg?.querySelectorAll(`[data-run="${run}"]`) ?? []
    shapes.forEach((e) => e.setAttribute('data-marked', ''))
    shapes[0]?.scrollIntoView({ block: 'nearest' })
  }
  const onClick = (e: MouseEvent) => {
    const run = Number((e.target as Element).closest('[data-run]')?.getAttribute('data-run'))
    if (!run) return
    mark(run)
    onSelect(run)
  }
  const onKeyDown = (e: KeyboardEvent) => {
    const at = order.indexOf(marked.current ?? selected ?? -1)
    if (e.key === 'ArrowDown' || e.key === 'ArrowUp') {
      mark(order[Math.max(0, Math.min(order.length - 1, at + (e.key === 'ArrowDown' ? 1 : -1)))])
      e.preventDefault()
    } else if (e.key === 'Enter' && marked.current !== undefined) {
      onSelect(marked.current)
      e.preventDefault()
    }
  }
  return (
    <Box
      ref={frame}
      role="group"
      aria-label="Drawing; arrow keys go from run to run, Enter opens one"
      tabIndex={0}
      onClick={onClick}
      onKeyDown={onKeyDown}
      sx={{
        overflow: 'auto',
        flex: 1,
        minHeight: 240,
        '& [data-run]': { cursor: 'pointer' },
        '& text': { userSelect: 'text' },
        '& text[data-marked]': { fill: (t) => t.palette.primary.main, fontWeight: 700 },
        '& rect[data-marked], & line[data-marked]': {
          stroke: (t) => t.palette.primary.main,
          strokeWidth: 3,
        },
      }}
    >
      <Shapes drawing={drawing} />
    </Box>
  )
}

const Shapes = memo(function Shapes({ drawing }: { readonly drawing: Drawing }) {
  const theme = useTheme()
  return (
    <svg
      role="img"
      aria-label="Cabling"
      width={drawing.width + 2 * EDGE}
      height={drawing.height + 2 * EDGE}
      viewBox={`${-EDGE} ${-EDGE} ${drawing.width + 2 * EDGE} ${drawing.height + 2 * EDGE}`}
      fontSize={13}
      fontFamily={theme.typography.fontFamily}
    >
      {drawing.shapes.map((s, i) => shape(s, i, theme))}
    </svg>
  )
})

/** Ink by what it says; the mark or the weight says it too. */
function ink(s: DrawnShape, t: Theme): string {
  if (s.tone === 'stop') return t.palette.error.main
  if (s.tone === 'warn') return t.palette.primary.main
  return s.tone === 'quiet' ? t.palette.text.secondary : t.palette.text.primary
}

function shape(s: DrawnShape, key: number, t: Theme) {
  const run = s.run !== null ? { 'data-run': s.run } : {}
  const colour = ink(s, t)
  switch (s.kind) {
    case 'text':
    case 'middle':
      return (
        <text
          key={key}
          x={s.x}
          y={s.y}
          textAnchor={s.kind === 'middle' ? 'middle' : 'start'}
          fill={colour}
          fontSize={s.tone === 'heading' ? 16 : undefined}
          fontWeight={s.tone === 'plain' || s.tone === 'quiet' ? undefined : 650}
          {...run}
        >
          {s.text}
        </text>
      )
    case 'line':
      return (
        <line
          key={key}
          x1={s.x}
          y1={s.y}
          x2={s.x + s.w}
          y2={s.y + s.h}
          stroke={s.tone === 'plain' ? t.palette.text.secondary : colour}
          strokeWidth={s.tone === 'plain' ? 1.5 : 2.5}
          {...run}
        />
      )
    case 'bar':
      return (
        <g key={key}>
          <rect
            x={s.x}
            y={s.y}
            width={BAR}
            height={s.h}
            rx={2}
            fill="none"
            stroke={t.palette.text.secondary}
          />
          <rect
            x={s.x}
            y={s.y}
            width={s.w}
            height={s.h}
            rx={2}
            fill={s.tone === 'plain' ? t.palette.secondary.main : colour}
          />
        </g>
      )
    default:
      return (
        <rect
          key={key}
          x={s.x}
          y={s.y}
          width={s.w}
          height={s.h}
          rx={4}
          fill={s.kind === 'socket' ? t.palette.background.paper : 'transparent'}
          stroke={s.kind === 'empty' ? t.palette.divider : colour}
          strokeDasharray={s.kind === 'empty' ? '3 3' : undefined}
          {...run}
        />
      )
  }
}
