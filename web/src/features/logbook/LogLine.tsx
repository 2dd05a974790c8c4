import Box from '@mui/material/Box'
import Link from '@mui/material/Link'
import { Link as RouterLink } from 'react-router'
import type { Job, LogEntry } from '../../shared/api/types'
import { timeOfDay } from '../../shared/format/moment'
import { kinds } from './kinds'

/** One line: when, who, what kind, what; the devices it concerns lead to them. */
export function LogLine({ job, entry }: { readonly job: Job; readonly entry: LogEntry }) {
  const devices = job.devices.filter((d) => entry.devices.includes(d.id))
  const photo = `/api/jobs/${job.id}/log/photos/${entry.photoId}`
  return (
    <Box
      data-log={entry.kind}
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', sm: '92px 150px 92px 1fr' },
        columnGap: 1.5,
        py: 0.75,
        borderBottom: '1px solid',
        borderColor: 'divider',
      }}
    >
      <span className="mono" style={{ whiteSpace: 'nowrap' }}>
        {timeOfDay(entry.at, job.site.clock)}
      </span>
      <b>{entry.person}</b>
      <Box component="span" sx={{ color: 'text.secondary' }}>
        {kinds[entry.kind]}
        {entry.fromFile && ' (from the file)'}
      </Box>
      <Box sx={{ whiteSpace: 'pre-wrap', overflowWrap: 'anywhere' }}>
        {entry.text}
        {entry.photoId !== null && (
          <Box sx={{ mt: 0.5 }}>
            <a href={photo} target="_blank" rel="noreferrer">
              <img src={photo} alt={`Photo to: ${entry.text}`} style={{ maxHeight: 140, maxWidth: '100%' }} />
            </a>
          </Box>
        )}
        {devices.length > 0 && entry.kind === 'note' && (
          <Box component="span" sx={{ ml: 1 }}>
            {devices.map((d) => (
              <Link
                key={d.id}
                component={RouterLink}
                to={`/jobs/${job.id}/addresses#device-${d.id}`}
                sx={{ mr: 1 }}
              >
                {d.name}
              </Link>
            ))}
          </Box>
        )}
      </Box>
    </Box>
  )
}
