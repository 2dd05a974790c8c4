import Box from '@mui/material/Box'
import Paper from '@mui/material/Paper'
import type { BringUp } from '../../shared/api/types'
import { CommandLines } from './CommandLines'
import { goingBack, taking } from './laptopCommands'

interface Props {
  readonly laptop: BringUp['laptop']
  /** It keeps its own address and gets this one beside it. */
  readonly more: boolean
}

/** Where this laptop must be now, where it is, and how to put it there on three kinds of desktop. */
export function LaptopCard({ laptop, more }: Props) {
  const address = laptop.wanted.split('/')[0] ?? ''
  return (
    <Paper sx={{ p: 2, mt: 2 }}>
      <Box component="h2" sx={{ typography: 'h2', mt: 0, mb: 1 }}>
        This laptop
      </Box>
      <Box sx={{ display: 'flex', columnGap: 4, rowGap: 0.5, flexWrap: 'wrap' }}>
        <span>
          must be on <b className="mono">{laptop.wanted}</b>
        </span>
        <span>
          {laptop.actual === '' ? (
            'where it is, is not known'
          ) : (
            <>
              is on <b className="mono">{laptop.actual}</b>
            </>
          )}
          {laptop.actual !== '' && (laptop.right ? ' ✓ right' : ' ✗ not yet')}
        </span>
      </Box>
      {laptop.also.length > 0 && (
        <div>
          and has beside it <b className="mono">{laptop.also.join(', ')}</b>
        </div>
      )}
      <details style={{ marginTop: 8 }}>
        <summary>Commands that set it, and the way back (put your own interface&#39;s name in)</summary>
        <CommandLines commands={taking(address, laptop.wanted, laptop.wantedMask, more)} />
        <CommandLines commands={goingBack(address, laptop.wanted, more)} />
      </details>
    </Paper>
  )
}
