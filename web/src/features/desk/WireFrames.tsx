import Box from '@mui/material/Box'
import { Link as RouterLink } from 'react-router'
import type { Frame } from './messages'

/** The last frames of the link, without the read-back. */
export function WireFrames({ frames, job }: { readonly frames: readonly Frame[]; readonly job: number }) {
  return (
    <Box component="section" aria-label="Wire log" sx={{ mt: 1.5 }}>
      <Box component="h2" sx={{ typography: 'h2', m: 0 }}>
        On the wire
      </Box>
      <Box sx={{ color: 'text.secondary', fontSize: '0.88rem' }}>
        Position read-back left out; newest first. <RouterLink to={`/jobs/${job}/wire`}>All of it</RouterLink>
      </Box>
      <Box
        className="mono"
        sx={{ fontSize: '0.86rem', mt: 0.5, maxHeight: 130, overflow: 'auto' }}
        tabIndex={0}
      >
        {frames.length === 0 && 'Nothing yet: push the stick.'}
        {frames.map((f, i) => (
          <Box
            key={`${f.at} ${i}`}
            sx={{
              display: 'grid',
              gridTemplateColumns: '112px 16px minmax(0, 1.3fr) minmax(0, 1fr)',
              gap: 1,
              py: 0.2,
            }}
          >
            <span>{f.at.slice(11, 23)}</span>
            <span>{f.sent ? '→' : '←'}</span>
            <span style={{ overflowWrap: 'anywhere' }}>{f.hex}</span>
            <span>{f.meaning}</span>
          </Box>
        ))}
      </Box>
    </Box>
  )
}
