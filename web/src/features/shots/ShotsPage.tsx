import NativeSelect from '@mui/material/NativeSelect'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useState } from 'react'
import { about } from '../../shared/api/about'
import { adding, rights } from '../../shared/api/changes'
import { sentence } from '../../shared/api/client'
import { useChange } from '../../shared/api/job'
import type { Job, ShotList } from '../../shared/api/types'
import { Page } from '../../shared/ui/Page'
import { Trouble } from '../../shared/ui/Trouble'
import { AddTake } from './AddTake'
import { clockText } from './clock'
import { MoveTakes } from './MoveTakes'
import { NewList } from './NewList'
import { RunBar } from './RunBar'
import { RunDialog } from './RunDialog'
import { StillOnAir } from './StillOnAir'
import { Strip } from './Strip'
import { TakeTable } from './TakeTable'
import { useShotRun, useShots } from './useShots'
import { viewsOf } from './views'

/** Takes in the order of time, whether their cameras can be there, and the list while it is run. */
export function ShotsPage({ job }: { readonly job: Job }) {
  const { lists, presets } = useShots(job)
  const { drive } = rights(job)
  const run = useShotRun(job.id, drive)
  const [chosen, setChosen] = useState<number>()
  const [naming, setNaming] = useState(false)
  const [asking, setAsking] = useState(false)
  const all = lists.data ?? []
  const running = run.running ? run.view : undefined
  const list = all.find((l) => l.id === (running?.list ?? chosen)) ?? all[0]
  const views = viewsOf(job, presets.data ?? [])
  const change = useChange(job.id)
  const error = lists.error ?? presets.error ?? change.error
  return (
    <Page
      title="Shots"
      job={job}
      findings={about(job.findings, ['shots'])}
      keys={[
        ['Enter', 'takes a view, then adds the take'],
        ['n, a, s, b', 'while it is run: next, again, skip, back'],
        ['Space, Esc', 'STOP ALL while it is run'],
      ]}
      actions={
        <>
          {all.length > 1 && !running && (
            <NativeSelect
              inputProps={{ 'aria-label': 'Shot list' }}
              value={list?.id}
              onChange={(e) => setChosen(Number(e.target.value))}
            >
              {all.map((l) => (
                <option key={l.id} value={l.id}>
                  {l.name}
                </option>
              ))}
            </NativeSelect>
          )}
          {drive && !running && (
            <Button variant="outlined" onClick={() => setNaming(true)}>
              New list …
            </Button>
          )}
          {list && <Downloads job={job.id} list={list} />}
          {list && drive && !running && (
            <Button variant="contained" disabled={list.takes.length === 0} onClick={() => setAsking(true)}>
              Run …
            </Button>
          )}
        </>
      }
    >
      {error && <Trouble>{sentence(error)}</Trouble>}
      {naming && (
        <NewList
          onClose={() => setNaming(false)}
          onName={(name) =>
            change.mutate(adding('shot-list', { name }), { onSuccess: () => setNaming(false) })
          }
        />
      )}
      {running && list && <RunBar list={list} view={running} may={drive} run={run} />}
      {!running && run.view?.state === 'stopped' && list && (
        <p role="status">
          The list that {run.view.person} ran was stopped: {run.view.why || 'its server fell silent'}.
          {drive && ' Press Run to go on from where it stood. '}
        </p>
      )}
      {!running && run.view && list && <StillOnAir job={job.id} list={list} view={run.view} may={drive} />}
      {!list && lists.data && (
        <p>
          No shot list yet. It says which camera shows what and when, and whether each can be there in time.
          {drive ? ' Press “New list”.' : ' Whoever drives in this job can make one.'}
        </p>
      )}
      {list && (
        <>
          <Summary list={list} />
          {list.takes.length > 0 && <Strip list={list} run={running} />}
          {drive && <AddTake job={job} list={list} views={views} />}
          <Box sx={{ mt: 1.5, overflowX: 'auto' }}>
            {list.takes.length > 0 ? (
              <TakeTable job={job} list={list} views={views} />
            ) : (
              <p>No takes yet. Type a camera and a view, Enter, its length, Enter.</p>
            )}
          </Box>
          {drive && !running && list.takes.length > 0 && <MoveTakes job={job} list={list} />}
        </>
      )}
      {asking && list && (
        <RunDialog
          list={list}
          start={run.start}
          from={run.view?.state === 'stopped' && run.view.list === list.id ? run.view.next : null}
          onClose={() => setAsking(false)}
        />
      )}
    </Page>
  )
}

function Summary({ list }: { readonly list: ShotList }) {
  return (
    <Box sx={{ mb: 1 }} role="status">
      <b>{list.name}</b>: {list.takes.length} takes, {clockText(list.seconds)}.{' '}
      {list.takes.length > 0 &&
        (list.late === 0 ? (
          'Every camera has its time.'
        ) : (
          <Box component="b" sx={{ color: 'error.main' }}>
            {list.late === 1
              ? '1 take cannot be made as planned.'
              : `${list.late} takes cannot be made as planned.`}
          </Box>
        ))}
    </Box>
  )
}

function Downloads({ job, list }: { readonly job: number; readonly list: ShotList }) {
  const file = (kind: string) => `/api/jobs/${job}/shot-lists/${list.id}/shots.${kind}`
  return (
    <>
      <Button component="a" href={file('csv')} download>
        CSV
      </Button>
      <Button component="a" href={file('pdf')} download>
        PDF
      </Button>
    </>
  )
}
