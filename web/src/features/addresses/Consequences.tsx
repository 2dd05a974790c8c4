import Box from '@mui/material/Box'
import Paper from '@mui/material/Paper'
import { useQuery } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { editing } from '../../shared/api/changes'
import { sentence } from '../../shared/api/client'
import { previewChanges, useJob } from '../../shared/api/job'
import type { Device } from '../../shared/api/types'
import type { Seat } from '../../shared/api/useSeat'

interface Props {
  readonly job: Seat
  readonly device: Device
  readonly typed: string
}

/** Typing rests this long before the server is asked. */
const REST_MILLIS = 250

/** What an address that is being typed would clear and bring. */
export function Consequences({ job, device, typed }: Props) {
  const wanted = useRested(typed.trim())
  const version = useJob(job.id).data?.version
  const change = editing({
    item: 'device',
    id: device.id,
    field: 'address',
    before: device.address,
    after: wanted,
  })
  const preview = useQuery({
    queryKey: ['preview', job.id, version, change],
    queryFn: () => previewChanges(job.id, change),
    enabled: wanted !== device.address,
    retry: false,
  })
  if (wanted === device.address) return null
  if (preview.error) {
    return (
      <Card>
        <Line>{sentence(preview.error)}</Line>
      </Card>
    )
  }
  if (!preview.data) return null
  const { gone, fresh } = preview.data
  return (
    <Card>
      {gone.length + fresh.length === 0 && <Line>No finding comes or goes.</Line>}
      {gone.map((f) => (
        <Line key={f.key}>✓ clears {f.what}</Line>
      ))}
      {fresh.map((f) => (
        <Line key={f.key}>
          {f.severity === 'stop' ? '▲' : '◆'} brings {f.severity}: {f.what}
        </Line>
      ))}
    </Card>
  )
}

function Card({ children }: { readonly children: React.ReactNode }) {
  return <Paper sx={{ mt: 0.5, px: 1.5, py: 1, width: 400, borderColor: 'text.secondary' }}>{children}</Paper>
}

function Line({ children }: { readonly children: React.ReactNode }) {
  return <Box sx={{ py: 0.25 }}>{children}</Box>
}

function useRested(value: string): string {
  const [rested, setRested] = useState(value)
  useEffect(() => {
    const timer = setTimeout(() => setRested(value), REST_MILLIS)
    return () => clearTimeout(timer)
  }, [value])
  return rested
}
