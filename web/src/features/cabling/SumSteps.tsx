import Box from '@mui/material/Box'
import type { SumLine } from '../../shared/api/types'

/** A sum step by step: what, how, the figure, and the rule it follows. */
export function SumSteps({ sums, label }: { readonly sums: readonly SumLine[]; readonly label: string }) {
  return (
    <Box component="dl" aria-label={label} sx={{ m: 0 }}>
      {sums.map((s) => (
        <Box
          key={s.what}
          data-step={s.what}
          sx={{ borderTop: '1px solid', borderColor: 'divider', py: 0.75, display: 'flex', gap: 2 }}
        >
          <Box component="dt" sx={{ flex: 1, minWidth: 0 }}>
            <b>{s.what}</b>
            <Box sx={{ fontSize: '0.9rem', overflowWrap: 'anywhere' }}>{s.sum}</Box>
            <Box sx={{ fontSize: '0.85rem', color: 'text.secondary' }}>{s.source}</Box>
          </Box>
          <Box
            component="dd"
            className="mono"
            sx={{
              m: 0,
              maxWidth: 210,
              textAlign: 'right',
              fontWeight: 650,
              overflowWrap: 'anywhere',
              color: s.works ? undefined : 'error.main',
            }}
          >
            {s.works ? '' : '▲ '}
            {s.result}
          </Box>
        </Box>
      ))}
    </Box>
  )
}
