import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useMemo, useState } from 'react'
import { get, sentence } from '../../shared/api/client'
import { jobKeys } from '../../shared/api/job'
import type { Head, Job } from '../../shared/api/types'
import type { Seat } from '../../shared/api/useSeat'
import { useSeat } from '../../shared/api/useSeat'
import { TallSheet } from '../../shared/ui/TallSheet'
import type { Column } from '../../shared/ui/SheetTable'
import { Trouble } from '../../shared/ui/Trouble'
import { MountDrawer } from './MountDrawer'
import { places } from '../../shared/places'
import { MountChoice, MountText, follows, yesNo } from './MountCells'
import Paper from '@mui/material/Paper'

/** Every camera: where it hangs, what it carries, how far it turns. */
export function MountTable({ job }: { readonly job: Job }) {
  const [picked, setPicked] = useState<number>()
  const heads = useQuery({
    queryKey: [...jobKeys.mounts(job.id), job.version],
    queryFn: () => get<Head[]>(`/api/jobs/${job.id}/mounts`),
    placeholderData: keepPreviousData,
  })
  const seat = useSeat(job)
  const columns = useMemo(() => columnsOf(seat, setPicked), [seat])
  if (heads.error) return <Trouble>{sentence(heads.error)}</Trouble>
  const rows = heads.data ?? []
  const head = rows.find((h) => h.line === picked)
  return (
    <Paper sx={{ display: 'flex', flexDirection: 'column', flex: 1, minHeight: 0 }}>
      {heads.data?.length === 0 ? (
        <Box sx={{ p: 2 }}>No cameras yet. Add them from the shelf and their mounts can be noted here.</Box>
      ) : (
        <TallSheet
          label="Mounts"
          columns={columns}
          rows={rows}
          rowKey={(h) => h.line}
          rowLabel={(h) => h.name}
        />
      )}
      <Box sx={{ p: 1, color: 'text.secondary', borderTop: '1px solid', borderColor: 'divider' }}>
        Overhead: a rated fixing, a second bond, nobody below. Balance with power off. Local codes and
        licensed people decide about structure.
      </Box>
      {head && <MountDrawer job={job} head={head} onClose={() => setPicked(undefined)} />}
    </Paper>
  )
}

function columnsOf(job: Seat, onOpen: (line: number) => void): readonly Column<Head>[] {
  return [
    { title: 'Line', width: 52, cell: (h) => <b>{h.name}</b> },
    {
      title: 'Place',
      width: 84,
      cell: (h) => (
        <MountChoice job={job} head={h} field="place" label={`Place of ${h.name}`} choices={places} />
      ),
    },
    {
      title: 'Fixing, kg',
      mono: true,
      width: 84,
      cell: (h) => (
        <MountText
          job={job}
          head={h}
          field="fixing"
          label="Fixing rating"
          hint="Rating in kg, from its plate"
        />
      ),
    },
    {
      title: 'Bond',
      width: 60,
      cell: (h) => (
        <MountChoice job={job} head={h} field="bond" label={`Bond of ${h.name}`} choices={yesNo} />
      ),
    },
    {
      title: 'Inverted',
      width: 72,
      cell: (h) => (
        <MountChoice job={job} head={h} field="inverted" label={`Inverted ${h.name}`} choices={yesNo} />
      ),
    },
    {
      title: 'Turns to',
      mono: true,
      width: 92,
      cell: (h) =>
        h.moves ? (
          <MountText
            job={job}
            head={h}
            field="panLimit"
            label="Rotation limit"
            hint="Degrees each way, as set in the head"
            shown={h.sums.turns === null ? '–' : `± ${h.sums.turns}°`}
          />
        ) : (
          '–'
        ),
    },
    {
      title: 'Lead allows',
      mono: true,
      width: 96,
      cell: (h) =>
        h.moves ? (
          <MountText
            job={job}
            head={h}
            field="leadAllows"
            label="Lead allows"
            hint="Degrees each way before it wraps or pulls"
            shown={h.sums.leadAllows === null ? '–' : `± ${Math.round(h.sums.leadAllows)}°`}
          />
        ) : (
          '–'
        ),
    },
    { title: 'Carries', width: 176, cell: (h) => <Carries head={h} /> },
    {
      title: 'Balance',
      width: 84,
      cell: (h) => (
        <Button onClick={() => onOpen(h.line)} aria-label={`Balance of ${h.name}`}>
          {h.gimbal ? `${follows[h.texts.follow ?? ''] ?? 'open'} …` : 'open …'}
        </Button>
      ),
    },
  ]
}

function Carries({ head }: { readonly head: Head }) {
  const fitted = head.parts.slice(1)
  if (fitted.length === 0) return <>–</>
  return (
    <>
      {fitted.map((p) => p.name).join(', ')}
      <Box className="mono" sx={{ fontSize: '0.85rem' }}>
        {kilos(head.sums.carriedKg)}
        {head.sums.payloadKg !== null && ` of ${kilos(head.sums.payloadKg)}`}
      </Box>
    </>
  )
}

const kilos = (kg: number) => `${Math.round(kg * 100) / 100} kg`
