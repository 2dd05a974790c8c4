import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Drawer from '@mui/material/Drawer'
import { useState } from 'react'
import { rights } from '../../shared/api/changes'
import { sentence } from '../../shared/api/client'
import { useChange } from '../../shared/api/job'
import type { Job, ProfileFacts } from '../../shared/api/types'
import { Trouble } from '../../shared/ui/Trouble'
import { SayIt } from '../told'
import { ProfileDialog } from './ProfileDialog'
import { factGroups } from './factLines'
import type { Facts } from './profileSchema'
import { said } from './profileSchema'
import { ToldFacts } from './ToldFacts'
import { useProfile, useProfileSchema } from './useProfile'

/** Addresses, octets, versions: what is read letter by letter. */
const bare = /^[\dA-F]+([. ][\dA-F]+)+$/

/** Knobs and verbs have a section of their own. */
const withoutTold = (facts: Facts): Facts =>
  Object.fromEntries(Object.entries(facts).filter(([key]) => key !== 'knobs' && key !== 'verbs'))

const isList = (value: unknown) => Array.isArray(value) && value.length > 0

/** The devices of the job that have this profile. */
const having = (job: Job, profile: string) =>
  job.devices.filter((d) => d.profileId === profile).map((d) => d.id)

interface Props {
  readonly job: Job
  readonly profile: string
  readonly onClose: () => void
}

/** All facts of one profile, and what they mean for the work. */
export function ProfileDrawer({ job, profile, onClose }: Props) {
  const query = useProfile(job, profile)
  const schema = useProfileSchema()
  const error = query.error ?? schema.error
  return (
    <Drawer anchor="right" open onClose={onClose} slotProps={{ paper: { 'aria-label': 'Profile' } }}>
      <Box sx={{ width: { xs: '100vw', sm: 520 }, p: 2.5 }}>
        {error && <Trouble>{sentence(error)}</Trouble>}
        {query.data && schema.data && (
          <>
            <Box sx={{ display: 'flex', alignItems: 'start', gap: 1 }}>
              <Box component="h2" sx={{ typography: 'h1', m: 0, flex: 1 }}>
                {said(query.data.facts.name)}
              </Box>
              <Button onClick={onClose}>Close</Button>
            </Box>
            <p>{said(query.data.facts.summary)}</p>
            <Actions job={job} profile={profile} read={query.data} onGone={onClose} />
            <Box component="h3" sx={{ typography: 'h2', mb: 0.5 }}>
              What this means
            </Box>
            <ul style={{ margin: 0, paddingLeft: 20 }}>
              {query.data.implies.map((i) => (
                <li key={i}>{i}</li>
              ))}
            </ul>
            {(isList(query.data.facts.knobs) || isList(query.data.facts.verbs)) && (
              <Box component="section" sx={{ mt: 2 }} aria-label="Say it">
                <Box component="h3" sx={{ typography: 'h2', m: 0 }}>
                  Say one of its knobs or verbs
                </Box>
                <SayIt job={job} devices={having(job, profile)} />
              </Box>
            )}
            <ToldFacts facts={query.data.facts} />
            {factGroups(schema.data, withoutTold(query.data.facts)).map((g) => (
              <Box key={g.title} component="section" sx={{ mt: 2 }}>
                <Box component="h3" sx={{ typography: 'h2', m: 0, mb: 0.5 }}>
                  {g.title}
                </Box>
                {g.lines.map((l, i) => (
                  <Box
                    key={i}
                    sx={{ display: 'flex', gap: 2, py: 0.25, borderTop: '1px solid', borderColor: 'divider' }}
                  >
                    <Box sx={{ width: 190, flexShrink: 0, color: 'text.secondary' }}>{l.words}</Box>
                    <Box
                      className={bare.test(l.value) ? 'mono' : undefined}
                      sx={{ overflowWrap: 'anywhere' }}
                    >
                      {l.value}
                    </Box>
                  </Box>
                ))}
              </Box>
            ))}
          </>
        )}
      </Box>
    </Drawer>
  )
}

interface ActionsProps {
  readonly job: Job
  readonly profile: string
  readonly read: ProfileFacts
  readonly onGone: () => void
}

function Actions({ job, profile, read, onGone }: ActionsProps) {
  const [editing, setEditing] = useState<'copy' | 'change'>()
  const change = useChange(job.id)
  const may = rights(job).plan
  const own = read.own
  const copy: Facts = { ...read.facts, id: `${profile}-2`, name: `${said(read.facts.name)} (own)` }
  const remove = () =>
    change.mutate(
      { adds: [], edits: [], removes: own === null ? [] : [{ item: 'profile', id: own }] },
      { onSuccess: onGone },
    )
  return (
    <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mb: 1 }}>
      {may && (
        <Button variant="outlined" onClick={() => setEditing('copy')}>
          Copy and change …
        </Button>
      )}
      {may && own && (
        <Button variant="outlined" onClick={() => setEditing('change')}>
          Change …
        </Button>
      )}
      <Button href={`/api/jobs/${job.id}/profiles/${profile}/file`} download>
        Save as file
      </Button>
      {may && own && <Button onClick={remove}>Remove</Button>}
      {change.error && <Trouble>{sentence(change.error)}</Trouble>}
      {editing && (
        <ProfileDialog
          job={job}
          start={editing === 'copy' ? copy : read.facts}
          own={editing === 'change' ? own : null}
          onClose={() => setEditing(undefined)}
        />
      )}
    </Box>
  )
}
