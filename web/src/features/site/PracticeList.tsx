import Box from '@mui/material/Box'
import Paper from '@mui/material/Paper'
import type { Job } from '../../shared/api/types'
import { ChoiceCell } from '../../shared/ui/ChoiceCell'
import { matters } from './practices'

/** How this house does what practitioners do differently, when each way fits, and who cannot. */
export function PracticeList({ job }: { readonly job: Job }) {
  const cannot = (field: string) =>
    job.findings.find((f) => f.code === 'SITE-SCHOOL' && f.field === field && f.waiver === null)
  return (
    <Paper sx={{ p: 2, mb: 2 }} component="section" aria-label="Working practice">
      <Box component="h2" sx={{ typography: 'h2', mt: 0, mb: 0.5 }}>
        How it is done here
      </Box>
      <Box component="dl" sx={{ m: 0, display: 'grid', gridTemplateColumns: { xs: '1fr', md: '170px 1fr' } }}>
        {matters.map((m) => {
          const way = job.site.practices[m.field] ?? ''
          const finding = cannot(m.field)
          return (
            <Box key={m.field} sx={{ display: 'contents' }}>
              <Box component="dt" sx={{ color: 'text.secondary', py: 0.75 }}>
                {m.title}
              </Box>
              <Box component="dd" sx={{ m: 0, py: 0.75 }}>
                <ChoiceCell
                  job={job}
                  item="site"
                  id={job.site.id}
                  field={m.field}
                  value={way}
                  label={m.title}
                  choices={m.ways}
                />
                <Box sx={{ color: 'text.secondary', fontSize: '0.9rem' }}>{m.fits[way]}</Box>
                {finding && <Box sx={{ fontSize: '0.9rem', fontWeight: 600 }}>– {finding.what}</Box>}
              </Box>
            </Box>
          )
        })}
      </Box>
    </Paper>
  )
}
