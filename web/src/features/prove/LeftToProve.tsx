import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useState } from 'react'
import type { LeftView, LeftVisit } from '../../shared/api/types'
import { duration } from '../../shared/format/duration'
import { byTest, visitWords, timeWords } from './visits'

interface Props {
  readonly left: LeftView
  readonly onOpen: (line: number, test: string) => void
}

/** More places than this are shown on request. */
const FIRST = 12
/** More lines of one test than this are counted. */
const MOST_LINES = 24

/** What is open, place by place, in the order that needs the fewest walks. */
export function LeftToProve({ left, onOpen }: Props) {
  const [all, setAll] = useState(false)
  if (left.visits.length === 0) return null
  const shown = all ? left.visits : left.visits.slice(0, FIRST)
  return (
    <Box component="section" aria-label="What is left" sx={{ mt: 3 }}>
      <Box component="h2" sx={{ typography: 'h2', mb: 0.5 }}>
        What is left, with the fewest walks
      </Box>
      <Box sx={{ color: 'text.secondary', mb: 1 }}>
        About {duration(left.seconds)}: {timeWords(left.asked, left.askedFrom)} for what a machine asks,{' '}
        {timeWords(left.seen, left.seenFrom)} for what a person looks at, 1 min for each walk, 4 min where a
        ladder is needed.
      </Box>
      <Box component="ol" sx={{ m: 0, pl: 3 }}>
        {shown.map((v) => (
          <Visit key={`${v.where} ${v.place}`} visit={v} onOpen={onOpen} />
        ))}
      </Box>
      {left.visits.length > shown.length && (
        <Button onClick={() => setAll(true)}>{left.visits.length - shown.length} more places</Button>
      )}
    </Box>
  )
}

function Visit({ visit, onOpen }: { readonly visit: LeftVisit; readonly onOpen: Props['onOpen'] }) {
  const asked = visit.where === 'machine'
  return (
    <Box component="li" sx={{ mb: 1.5, '&::marker': { fontWeight: 700 } }}>
      <b>{visitWords(visit)}</b>
      <Box component="span" sx={{ color: 'text.secondary', ml: 1.5 }}>
        {visit.tests.length} {visit.tests.length === 1 ? 'test' : 'tests'}, about {duration(visit.seconds)}
      </Box>
      {byTest(visit).map(({ test, head, lines }) => (
        <Box key={test} sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'baseline', columnGap: 0.5 }}>
          <Box component="span" sx={{ minWidth: 84 }}>
            {head}
          </Box>
          {lines.slice(0, MOST_LINES).map((l) =>
            asked ? (
              <span key={l.line}>{l.name}</span>
            ) : (
              <Button
                key={l.line}
                size="small"
                sx={{ minWidth: 44, py: 0 }}
                aria-label={`${l.name}: ${head}`}
                onClick={() => onOpen(l.line, test)}
              >
                {l.name}
              </Button>
            ),
          )}
          {lines.length > MOST_LINES && <span>and {lines.length - MOST_LINES} more</span>}
        </Box>
      ))}
    </Box>
  )
}
