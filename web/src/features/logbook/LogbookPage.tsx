import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useState } from 'react'
import { rights } from '../../shared/api/changes'
import { sentence } from '../../shared/api/client'
import type { Job, LogEntry } from '../../shared/api/types'
import { weekday } from '../../shared/format/moment'
import { Page } from '../../shared/ui/Page'
import { Trouble } from '../../shared/ui/Trouble'
import { LogFilters } from './LogFilters'
import { LogLine } from './LogLine'
import { NoteForm } from './NoteForm'
import { ANY, useLogbook } from './useLogbook'

/** Who did what, when: by day, newest first; filtered, added to, never edited. */
export function LogbookPage({ job }: { readonly job: Job }) {
  const [filter, setFilter] = useState(ANY)
  const log = useLogbook(job.id, filter)
  const entries = log.data?.pages.flatMap((p) => p.entries) ?? []
  return (
    <Page title="Logbook" job={job}>
      {rights(job).plan && <NoteForm job={job} />}
      <LogFilters job={job} people={log.data?.pages[0]?.people ?? []} filter={filter} onFilter={setFilter} />
      {log.error && <Trouble>{sentence(log.error)}</Trouble>}
      {log.data && entries.length === 0 && (
        <p>
          {filter === ANY
            ? 'Nothing is written here yet.'
            : 'No line fits these filters. Clear one of them to see more.'}
        </p>
      )}
      {days(entries).map(([day, lines]) => (
        <Box key={day} component="section" sx={{ mt: 2, maxWidth: 900 }}>
          <Box
            component="h2"
            sx={{ typography: 'h2', m: 0, pb: 0.5, borderBottom: '1px solid', borderColor: 'divider' }}
          >
            {day}
          </Box>
          {lines.map((e) => (
            <LogLine key={e.id} job={job} entry={e} />
          ))}
        </Box>
      ))}
      {log.hasNextPage && (
        <Button sx={{ mt: 1 }} onClick={() => void log.fetchNextPage()} disabled={log.isFetchingNextPage}>
          Older lines
        </Button>
      )}
    </Page>
  )
}

function days(entries: readonly LogEntry[]): readonly (readonly [string, readonly LogEntry[]])[] {
  const byDay = new Map<string, LogEntry[]>()
  for (const e of entries) {
    const day = weekday(e.at)
    byDay.set(day, [...(byDay.get(day) ?? []), e])
  }
  return [...byDay]
}
