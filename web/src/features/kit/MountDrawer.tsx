import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Drawer from '@mui/material/Drawer'
import { Link as RouterLink } from 'react-router'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import type { ReactNode } from 'react'
import { editing, rights } from '../../shared/api/changes'
import { sentence } from '../../shared/api/client'
import { useChange } from '../../shared/api/job'
import type { Head, HeadPart, Job } from '../../shared/api/types'
import { EditCell } from '../../shared/ui/EditCell'
import { Fact } from '../../shared/ui/Fact'
import type { Column } from '../../shared/ui/SheetTable'
import { SheetTable } from '../../shared/ui/SheetTable'
import { Trouble } from '../../shared/ui/Trouble'
import { BalanceDrawing } from './BalanceDrawing'
import { MountChoice, MountText, follows, startViews } from './MountCells'

interface Props {
  readonly job: Job
  readonly head: Head
  readonly onClose: () => void
}

/** One camera's mount: what is fitted, where it sits, and the sums with their rules. */
export function MountDrawer({ job, head, onClose }: Props) {
  return (
    <Drawer anchor="right" open onClose={onClose} slotProps={{ paper: { 'aria-label': 'Mount' } }}>
      <Box sx={{ width: { xs: '100vw', sm: 640 }, p: 2.5 }}>
        <Box sx={{ display: 'flex', alignItems: 'start', gap: 1 }}>
          <Box component="h2" sx={{ typography: 'h1', m: 0, flex: 1 }}>
            Mount of {head.name}
          </Box>
          <Button onClick={onClose}>Close</Button>
        </Box>
        <p style={{ margin: '4px 0 12px' }}>
          {head.profile};{' '}
          <RouterLink to={`/jobs/${job.id}/wire?device=${head.camera}`}>its wire log</RouterLink>
        </p>
        <Parts job={job} head={head} />
        <BalanceDrawing head={head} />
        <Sums head={head} />
        <Settings job={job} head={head} />
        <Box component="p" sx={{ color: 'text.secondary' }}>
          Power off before balancing; level it along the slide until neither end wins, then in height. Motors
          move without warning at power-up: hands and cables clear. Connect motors with power off.
        </Box>
      </Box>
    </Drawer>
  )
}

function Parts({ job, head }: { readonly job: Job; readonly head: Head }) {
  const change = useChange(job.id)
  const may = rights(job).plan
  const loose = job.devices.filter(
    (d) => d.fitted === null && (d.kind === 'accessory' || d.sort === 'control-bridge'),
  )
  const fit = (id: number, before: string, after: string) =>
    change.mutate(editing({ item: 'device', id, field: 'fitted', before, after }))
  const measure = (p: HeadPart, field: 'along' | 'alongZoomed' | 'above', label: string) => (
    <EditCell
      job={job}
      item="device"
      id={p.id}
      field={field}
      value={p[field]}
      label={`${label} of ${p.name}`}
      hint="mm from the tilt axis"
    >
      {p[field] || '–'}
    </EditCell>
  )
  const columns: readonly Column<HeadPart>[] = [
    {
      title: 'Part',
      cell: (p) => (
        <>
          {p.name}
          {p.switches.length > 0 && (
            <Box sx={{ fontSize: '0.85rem', color: 'text.secondary' }}>set: {p.switches.join(', ')}</Box>
          )}
        </>
      ),
    },
    { title: 'Mass', mono: true, cell: (p) => <span style={{ whiteSpace: 'nowrap' }}>{p.grams} g</span> },
    { title: 'Along, mm', mono: true, cell: (p) => measure(p, 'along', 'Place along') },
    {
      title: 'Zoomed, mm',
      mono: true,
      cell: (p) => (p.lengthens ? measure(p, 'alongZoomed', 'Place when zoomed') : '–'),
    },
    { title: 'Above, mm', mono: true, cell: (p) => measure(p, 'above', 'Height') },
    {
      title: 'Take off',
      head: <span />,
      cell: (p) =>
        may && p.id !== head.camera ? (
          <Button
            size="small"
            sx={{ whiteSpace: 'nowrap' }}
            onClick={() => fit(p.id, String(head.camera), '')}
            aria-label={`Take off ${p.name}`}
          >
            Take off
          </Button>
        ) : null,
    },
  ]
  return (
    <>
      <SheetTable
        label="Parts"
        columns={columns}
        rows={head.parts}
        rowKey={(p) => p.id}
        rowLabel={(p) => p.name}
      />
      {may && loose.length > 0 && (
        <TextField
          select
          label="Fit from the van"
          value=""
          onChange={(e) => fit(Number(e.target.value), '', String(head.camera))}
          sx={{ mt: 1.5, width: 260 }}
        >
          {loose.map((d) => (
            <MenuItem key={d.id} value={String(d.id)}>
              {d.name}
            </MenuItem>
          ))}
        </TextField>
      )}
      {change.error && <Trouble>{sentence(change.error)}</Trouble>}
    </>
  )
}

const one = (value: number) => String(Math.round(value * 10) / 10)

function Sums({ head }: { readonly head: Head }) {
  const s = head.sums
  return (
    <Box component="section" aria-label="Sums" sx={{ mt: 1 }}>
      {s.balances.map((b) => (
        <Sum key={b.state} name={`Balance ${b.state}`} rule="sum(m x) / sum(m), shift = −x">
          centre {one(b.centreMm)} mm, move {b.state === 'height' ? 'it up' : 'the plate'} by {one(b.shiftMm)}{' '}
          mm
          {b.state !== 'height' && head.texts.plateTravel !== '' && (
            <b>{b.withinTravel ? ', within its travel' : ', beyond its travel'}</b>
          )}
        </Sum>
      ))}
      {s.balances.length === 0 && head.parts.length > 1 && (
        <Sum name="Balance" rule="measure each part from the tilt axis">
          no part is measured yet
        </Sum>
      )}
      {s.payloadKg !== null && (
        <Sum name="Payload" rule="masses by profile, rating of the head">
          {one(s.carriedKg)} kg of {one(s.payloadKg)} kg
        </Sum>
      )}
      {s.torqueNm !== null && s.ratedNm !== null && (
        <Sum name="Tilt motor" rule="m g offset × 2 against its rating, before the plate is moved">
          {one(s.torqueNm)} Nm × 2 against {one(s.ratedNm)} Nm
        </Sum>
      )}
      {s.neededKg !== null && (
        <Sum name="Overhead" rule="camera and what it carries × the site’s factor; local codes go before">
          {one(s.hungKg)} kg hangs, the fixing must hold {one(s.neededKg)} kg
        </Sum>
      )}
    </Box>
  )
}

interface SumProps {
  readonly name: string
  readonly rule: string
  readonly children: ReactNode
}

function Sum({ name, rule, children }: SumProps) {
  return (
    <Box sx={{ display: 'flex', gap: 2, py: 0.5, borderTop: '1px solid', borderColor: 'divider' }}>
      <Box sx={{ width: 160, flexShrink: 0, color: 'text.secondary' }}>{name}</Box>
      <Box>
        {children}
        <Box sx={{ fontSize: '0.85rem', color: 'text.secondary' }}>{rule}</Box>
      </Box>
    </Box>
  )
}

function Settings({ job, head }: { readonly job: Job; readonly head: Head }) {
  return (
    <Box component="section" aria-label="Settings" sx={{ mt: 2 }}>
      <Fact name="Plate slides each way, mm">
        <MountText job={job} head={head} field="plateTravel" label="Plate travel" hint="mm each way" />
      </Fact>
      <Fact name="View after power-up">
        <MountChoice
          job={job}
          head={head}
          field="startView"
          label={`Start view of ${head.name}`}
          choices={startViews}
        />
      </Fact>
      {head.gimbal && (
        <>
          <Fact name="Control-bus switch">
            <MountText
              job={job}
              head={head}
              field="busSwitch"
              label="Bus switch"
              hint="Position as printed; restart after changing it"
            />
          </Fact>
          <Fact name="Follow mode">
            <MountChoice
              job={job}
              head={head}
              field="follow"
              label={`Follow mode of ${head.name}`}
              choices={follows}
            />
          </Fact>
          <Fact name="Stick smoothness, %">
            <MountText job={job} head={head} field="smoothness" label="Smoothness" hint="0 to 100 per cent" />
          </Fact>
        </>
      )}
    </Box>
  )
}
