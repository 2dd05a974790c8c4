import Box from '@mui/material/Box'
import LinearProgress from '@mui/material/LinearProgress'
import { memo } from 'react'
import type { ReactNode } from 'react'
import { duration } from '../../shared/format/duration'
import type { Card, CardState } from './cards'
import { useLeft } from './useLeft'

interface Props {
  readonly cards: readonly Card[]
  readonly speed: number
  /** The device that somebody came here for; 0 for none. */
  readonly wanted: number
}

const signs: Readonly<Record<CardState, string>> = { done: '✓', now: '▸', waits: '◷', begun: '◐', ahead: '○' }

/** The devices in order with how far each is; on a narrow screen one line of signs. */
export function CardColumn({ cards, speed, wanted }: Props) {
  return (
    <Box
      component="ol"
      aria-label="Devices in order"
      tabIndex={0}
      sx={{
        listStyle: 'none',
        m: 0,
        p: 0,
        display: { xs: 'flex', md: 'block' },
        overflow: 'auto',
        maxHeight: { md: 'calc(100vh - 190px)' },
      }}
    >
      {cards.map((card) => (
        <Row
          key={card.key}
          name={card.name}
          state={card.state}
          done={card.steps.filter((s) => s.done).length}
          of={card.steps.length}
          wanted={card.key === `device ${wanted}`}
        >
          {card.left > 0 && card.state !== 'done' && <Bar card={card} speed={speed} />}
        </Row>
      ))}
    </Box>
  )
}

interface RowProps {
  readonly name: string
  readonly state: CardState
  /** Steps that are done, and all of them. */
  readonly done: number
  readonly of: number
  readonly wanted: boolean
  /** The boot that runs, if one does. */
  readonly children: ReactNode
}

/** One of the column; drawn anew when something about it has changed, not with each look at the network. */
const Row = memo(function Row({ name, state, done, of, wanted, children }: RowProps) {
  const now = state === 'now'
  return (
    <Box
      component="li"
      ref={now || wanted ? intoView : undefined}
      aria-current={now ? 'step' : undefined}
      title={`${name}: ${done} of ${of} steps done`}
      sx={{
        px: 1,
        outline: wanted ? '2px solid' : undefined,
        outlineOffset: '-2px',
        py: { xs: 0.75, md: 0.35 },
        borderLeft: { md: '4px solid' },
        borderBottom: { xs: '4px solid', md: 'none' },
        borderColor: { xs: now ? 'primary.main' : 'transparent', md: now ? 'primary.main' : 'transparent' },
        fontWeight: now ? 700 : 400,
        color: state === 'done' ? 'text.secondary' : 'text.primary',
        whiteSpace: 'nowrap',
      }}
    >
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'baseline' }}>
        <span aria-hidden="true">{signs[state]}</span>
        <Box sx={{ flex: 1 }}>{name}</Box>
        <Box
          component="span"
          sx={{ display: { xs: 'none', md: 'inline' }, fontSize: '0.85rem', color: 'text.secondary' }}
        >
          {state === 'done' ? 'done' : `${done} of ${of}`}
        </Box>
      </Box>
      {children}
    </Box>
  )
})

/** A boot that runs beside the work. */
function Bar({ card, speed }: { readonly card: Card; readonly speed: number }) {
  const left = useLeft(card.left, speed)
  if (left <= 0) return null
  return (
    <Box sx={{ display: { xs: 'none', md: 'block' }, pl: 3 }}>
      <LinearProgress
        variant="determinate"
        value={100 - (100 * left) / Math.max(card.total, left)}
        aria-label={`Boot of ${card.name}`}
      />
      <Box component="span" sx={{ fontSize: '0.8rem', color: 'text.secondary' }}>
        boots, {duration(left)}
      </Box>
    </Box>
  )
}

/** A long column follows the work. */
function intoView(row: HTMLElement | null) {
  row?.scrollIntoView({ block: 'nearest', inline: 'center' })
}
