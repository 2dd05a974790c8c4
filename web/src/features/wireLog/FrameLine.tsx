import Box from '@mui/material/Box'
import { useState } from 'react'
import type { Fold } from './folded'

/** One line a frame: time, who to whom, octets in pairs, meaning; a press opens it octet by octet. */
export function FrameLine({ fold }: { readonly fold: Fold }) {
  const [open, setOpen] = useState(false)
  const f = fold.last
  return (
    <Box sx={{ borderTop: '1px solid', borderColor: 'divider' }}>
      <Box
        component="button"
        type="button"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
        sx={{
          all: 'unset',
          cursor: 'pointer',
          boxSizing: 'border-box',
          width: '100%',
          display: 'grid',
          gridTemplateColumns: { xs: '1fr', md: '128px 70px minmax(0, 1.6fr) minmax(0, 1fr)' },
          columnGap: 1.5,
          py: 0.4,
          '&:focus-visible': { outline: '2px solid', outlineColor: 'primary.main' },
        }}
      >
        <span className="mono" style={{ fontSize: '0.95rem' }}>
          {f.at.slice(11, 23)}
        </span>
        <span>{f.sent ? `→ ${f.name}` : `← ${f.name}`}</span>
        <span className="mono" style={{ overflowWrap: 'anywhere', fontSize: '0.95rem' }}>
          {f.hex}
        </span>
        <span>
          {f.words}
          {fold.times > 1 && <b> × {fold.times}</b>}
        </span>
      </Box>
      {open && (
        <Box sx={{ pb: 1, pl: { md: '222px' } }}>
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75 }}>
            {f.hex.split(' ').map((octet, i) => (
              <Box
                key={i}
                sx={{
                  textAlign: 'center',
                  border: '1px solid',
                  borderColor: 'divider',
                  borderRadius: 1,
                  px: 0.5,
                }}
              >
                <Box sx={{ fontSize: '0.75rem', color: 'text.secondary' }}>{i + 1}</Box>
                <span className="mono">{octet}</span>
              </Box>
            ))}
          </Box>
          <Box sx={{ color: 'text.secondary', mt: 0.5 }}>
            {f.path ? `${f.path}, ` : 'a serial port, '}
            {f.seconds.toFixed(6)} s after this server started
            {fold.times > 1 && `; first of ${fold.times} at ${fold.first.at.slice(11, 23)} UTC`}
          </Box>
        </Box>
      )}
    </Box>
  )
}
