import Box from '@mui/material/Box'
import { memo, useSyncExternalStore } from 'react'
import { Link as RouterLink } from 'react-router'
import type { FrameStore, NumberedFrame } from './frames'
import { counted } from '../../shared/format/counted'

/** The last frames of the link, without the read-back. */
export function WireFrames({ frames, job }: { readonly frames: FrameStore; readonly job: number }) {
  const shown = useSyncExternalStore(frames.listen, frames.now)
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
        {shown.length === 0 && 'Nothing yet: push the stick.'}
        {shown.map((f) => (
          <Row key={f.number} frame={f} />
        ))}
      </Box>
    </Box>
  )
}

const GRID = {
  display: 'grid',
  gridTemplateColumns: '112px 16px minmax(0, 1.3fr) minmax(0, 1fr)',
  gap: 8,
  padding: '2px 0',
} as const

/** Drawn once: a frame does not change. */
const Row = memo(function Row({ frame }: { readonly frame: NumberedFrame }) {
  return (
    <>
      <div style={GRID}>
        <span>{frame.at.slice(11, 23)}</span>
        <span>{frame.sent ? '→' : '←'}</span>
        <span style={{ overflowWrap: 'anywhere' }}>{frame.hex}</span>
        <span>{frame.meaning}</span>
      </div>
      {frame.leftOut > 0 && (
        <Box sx={{ color: 'text.secondary', py: '2px', pl: '144px' }}>
          {counted(frame.leftOut, 'more frame', 'more frames')}, in the wire log
        </Box>
      )}
    </>
  )
})
