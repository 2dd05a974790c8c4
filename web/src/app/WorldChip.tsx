import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Checkbox from '@mui/material/Checkbox'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import FormControlLabel from '@mui/material/FormControlLabel'
import TextField from '@mui/material/TextField'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { rights } from '../shared/api/changes'
import { put, sentence } from '../shared/api/client'
import { jobKeys } from '../shared/api/job'
import { showAnswer } from '../shared/api/showAnswer'
import type { Job, World } from '../shared/api/types'
import { useWorld } from '../shared/api/useWorld'
import { Trouble } from '../shared/ui/Trouble'

/** The live network stands out: solid, and in the colour of what can hurt. */
const LOOKS: Record<string, object> = {
  live: { border: '2px solid #B3211B', bgcolor: '#B3211B', color: '#FFFFFF' },
  rig: { border: '2px dashed', borderColor: 'secondary.main', color: 'secondary.main' },
  '': { border: '2px dotted', borderColor: 'text.secondary', color: 'text.secondary' },
}

/** Which world commands go to, and where the laptop is in it; a lead chooses it here. */
export function WorldChip({ job }: { readonly job: Job }) {
  const [open, setOpen] = useState(false)
  const world = useWorld(job.id)
  const seen = world.data
  return (
    <Box
      component="span"
      sx={{ display: 'inline-flex', gap: 1.5, alignItems: 'center', whiteSpace: 'nowrap' }}
    >
      <Button
        onClick={() => setOpen(true)}
        title="Where the commands of this job go"
        sx={{
          borderRadius: 1,
          px: { xs: 0.5, sm: 1 },
          py: 0,
          fontWeight: 600,
          fontSize: { xs: '0.9rem', sm: '1rem' },
          ...LOOKS[seen?.world ?? ''],
          '&:hover': LOOKS[seen?.world ?? ''],
        }}
      >
        {seen ? seen.words : world.isError ? 'World not known' : 'Looking …'}
      </Button>
      {seen?.laptop && (
        <Box component="span" sx={{ display: { xs: 'none', md: 'inline' }, color: 'text.secondary' }}>
          laptop <span className="mono">{seen.laptop}</span>
        </Box>
      )}
      {seen && inTheWay(seen).length > 0 && (
        <Box component="span" sx={{ color: 'error.main', fontWeight: 600 }} title={inTheWay(seen).join(' ')}>
          ▲ {inTheWay(seen).length}
        </Box>
      )}
      {seen && open && <WorldDialog job={job} world={seen} onClose={() => setOpen(false)} />}
    </Box>
  )
}

/** Cautions, and findings of how this machine stands to the plan, a sentence or two each. */
const inTheWay = (world: World): readonly string[] => [
  ...world.cautions,
  ...world.findings.map((f) => `${f.what} ${f.why}`),
]

interface DialogProps {
  readonly job: Job
  readonly world: World
  readonly onClose: () => void
}

/** Where this machine stands, and the choice between the worlds that this server offers. */
function WorldDialog({ job, world, onClose }: DialogProps) {
  const queries = useQueryClient()
  const [sure, setSure] = useState(false)
  const choose = useMutation({
    mutationFn: (next: string) => put<World>(`/api/jobs/${job.id}/world`, { world: next, confirmed: sure }),
    onSuccess: async (next) => {
      await showAnswer(queries, jobKeys.world(job.id), next)
      await queries.invalidateQueries({ queryKey: jobKeys.one(job.id) })
    },
  })
  const mayChoose = rights(job).manage
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth>
      <DialogTitle>Commands go to: {world.words}</DialogTitle>
      <DialogContent>
        {choose.error && <Trouble>{sentence(choose.error)}</Trouble>}
        {inTheWay(world).map((c) => (
          <Trouble key={c}>{c}</Trouble>
        ))}
        {world.addresses.length > 0 && (
          <>
            <Box component="h3" sx={{ typography: 'h2', m: 0 }}>
              Addresses of this laptop
            </Box>
            <ul style={{ margin: '4px 0 12px', paddingLeft: 20 }}>
              {world.addresses.map((a) => (
                <li key={a.link + a.address}>
                  <span className="mono">{a.address}</span> on {a.link}
                  {a.reaches ? ', in a subnet of the job' : ', not of this job'}
                </li>
              ))}
            </ul>
          </>
        )}
        {world.world === 'live' && <SerialChoice job={job} world={world} may={mayChoose} />}
        {!mayChoose && <p>A lead of this job chooses where its commands go.</p>}
        {mayChoose && world.offered.includes('live') && world.world !== 'live' && (
          <Box sx={{ border: '2px solid #B3211B', borderRadius: 1, p: 1.5, mt: 1 }}>
            <b>The live network</b> has real heads in it: they move without warning, and cameras hang over
            people. Clear hands, ladders and cables, agree with whoever is on air, and keep to the rules of
            the house and of licensed practice. Only addresses that this job plans, or its devices start on,
            are contacted.
            <FormControlLabel
              sx={{ display: 'flex', my: 0.5 }}
              control={<Checkbox checked={sure} onChange={(e) => setSure(e.target.checked)} />}
              label="I may move these heads now"
            />
            <Button
              variant="contained"
              color="error"
              disabled={!sure || choose.isPending}
              onClick={() => choose.mutate('live')}
            >
              Send commands to the live network
            </Button>
          </Box>
        )}
      </DialogContent>
      <DialogActions>
        {mayChoose && world.offered.includes('rig') && world.world !== 'rig' && (
          <Button disabled={choose.isPending} onClick={() => choose.mutate('rig')}>
            Use the stand-in rig
          </Button>
        )}
        {mayChoose && world.world !== '' && (
          <Button disabled={choose.isPending} onClick={() => choose.mutate('')}>
            Choose none
          </Button>
        )}
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  )
}

interface SerialProps {
  readonly job: Job
  readonly world: World
  readonly may: boolean
}

/** A serial port of this machine in the place of the job's serial server. */
function SerialChoice({ job, world, may }: SerialProps) {
  const queries = useQueryClient()
  const [path, setPath] = useState(world.serialPort)
  const choose = useMutation({
    mutationFn: (next: string) => put<World>(`/api/jobs/${job.id}/world/serial-port`, { path: next }),
    onSuccess: async (next) => {
      await showAnswer(queries, jobKeys.world(job.id), next)
      await queries.invalidateQueries({ queryKey: jobKeys.one(job.id) })
    },
  })
  return (
    <Box component="section" sx={{ mt: 1 }}>
      <Box component="h3" sx={{ typography: 'h2', m: 0 }}>
        Chains and buses
      </Box>
      <p style={{ marginTop: 4 }}>
        {world.serialPort
          ? `They are reached through ${world.serialPort} of this machine.`
          : 'They are reached through the serial server of the job, if it has one. With an adapter at this machine they can be reached from here: plug the lead into it first.'}
      </p>
      {choose.error && <Trouble>{sentence(choose.error)}</Trouble>}
      {may && (
        <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}>
          <TextField
            size="small"
            label="Serial port"
            placeholder="/dev/ttyUSB0"
            value={path}
            onChange={(e) => setPath(e.target.value)}
            helperText={
              world.serialPorts.length > 0
                ? `There now: ${world.serialPorts.join(', ')}`
                : 'No serial port is there now'
            }
          />
          <Button
            variant="outlined"
            disabled={choose.isPending || path === ''}
            onClick={() => choose.mutate(path)}
          >
            Use this port
          </Button>
          {world.serialPort && (
            <Button disabled={choose.isPending} onClick={() => choose.mutate('')}>
              Use the serial server
            </Button>
          )}
        </Box>
      )}
    </Box>
  )
}
