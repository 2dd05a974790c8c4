import Box from '@mui/material/Box'
import type { Device, Finding } from '../../shared/api/types'
import type { Seat } from '../../shared/api/useSeat'
import { EditCell } from '../../shared/ui/EditCell'
import { Consequences } from './Consequences'

interface Props {
  readonly job: Seat
  readonly device: Device
  readonly findings: readonly Finding[]
}

/** A planned address that is edited where it stands, with the findings against it. */
export function AddressCell({ job, device, findings }: Props) {
  return (
    <EditCell
      job={job}
      item="device"
      id={device.id}
      field="address"
      value={device.address}
      label={`Address of ${device.name}`}
      hint="Enter takes it, empty plans none"
      ahead={(typed) => <Consequences job={job} device={device} typed={typed} />}
    >
      {device.address ? `${device.address}/${device.prefix}` : 'none'}
      <Codes findings={findings} />
    </EditCell>
  )
}

function Codes({ findings }: { readonly findings: readonly Finding[] }) {
  return findings.map((f) => (
    <Box
      key={f.key}
      component="span"
      sx={{
        color: f.severity === 'stop' ? 'error.main' : 'text.secondary',
        display: 'block',
        fontSize: '0.85rem',
        whiteSpace: 'nowrap',
      }}
    >
      {f.severity === 'stop' ? '▲' : '◆'} {f.code}
    </Box>
  ))
}
