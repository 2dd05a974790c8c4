import Box from '@mui/material/Box'
import Paper from '@mui/material/Paper'
import type { BringUp } from '../../shared/api/types'

/** Where this laptop must be now, where it is, and how to put it there on three kinds of desktop. */
export function LaptopCard({ laptop }: { readonly laptop: BringUp['laptop'] }) {
  const address = laptop.wanted.split('/')[0] ?? ''
  const ways = [
    `sudo ip addr flush dev eth0 && sudo ip addr add ${laptop.wanted} dev eth0`,
    `netsh interface ip set address "Ethernet" static ${address} ${laptop.wantedMask}`,
    `sudo networksetup -setmanual "Ethernet" ${address} ${laptop.wantedMask}`,
  ]
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
        <summary>Commands that set it (put your own interface&#39;s name in)</summary>
        {ways.map((w) => (
          <Box
            key={w}
            component="code"
            sx={{
              display: 'block',
              mt: 0.75,
              fontSize: '0.88rem',
              overflowWrap: 'anywhere',
              userSelect: 'all',
            }}
          >
            {w}
          </Box>
        ))}
      </details>
    </Paper>
  )
}
