import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import Paper from '@mui/material/Paper'
import TextField from '@mui/material/TextField'
import { memo } from 'react'
import { sentence } from '../../shared/api/client'
import type { Rig } from '../../shared/api/types'
import { duration } from '../../shared/format/duration'
import { Trouble } from '../../shared/ui/Trouble'
import { useRig } from './useBringUp'

const BEGIN = {
  unplugged: {
    words: 'Back into its boxes …',
    sure: 'Put the whole hall back into its boxes? Every setting and lead in it is as from the factory then. The plan stays as it is.',
  },
  'as-planned': {
    words: 'All as planned …',
    sure: 'Set and plug everything in the hall as the plan says? What was set in it by hand is lost. Faults of the plan come true.',
  },
} as const

const PACES = [1, 5, 20, 100]

/** The simulated hall: leads to plug and unplug, and the pace of its clock. */
export const RigHall = memo(function RigHall({ job }: { readonly job: number }) {
  const { rig, plug, begin, speed } = useRig(job)
  const hall = rig.data
  if (!hall?.connected) return null
  const error = rig.error ?? plug.error ?? begin.error ?? speed.error
  return (
    <Paper sx={{ p: 2, mt: 2 }}>
      <Box component="h2" sx={{ typography: 'h2', mt: 0, mb: 1.5 }}>
        The simulated hall
      </Box>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5, mb: 1.5, flexWrap: 'wrap' }}>
        <TextField
          select
          label="Its clock runs"
          value={hall.speed}
          onChange={(e) => speed.mutate(Number(e.target.value))}
          sx={{ width: 190 }}
        >
          {[...new Set([...PACES, hall.speed])].map((p) => (
            <MenuItem key={p} value={p}>
              {p === 1 ? 'in real time' : `${p} × as fast`}
            </MenuItem>
          ))}
        </TextField>
        {(['unplugged', 'as-planned'] as const).map((how) => (
          <Button
            key={how}
            variant="outlined"
            disabled={begin.isPending}
            onClick={() => {
              if (window.confirm(BEGIN[how].sure)) begin.mutate(how)
            }}
          >
            {BEGIN[how].words}
          </Button>
        ))}
      </Box>
      {error && <Trouble>{sentence(error)}</Trouble>}
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(230px, 1fr))', gap: 1 }}>
        {hall.devices.filter(pluggable).map((d) => (
          <HallDevice key={d.id} device={d} onPlug={plug.mutate} />
        ))}
      </Box>
    </Paper>
  )
})

interface HallDeviceProps {
  readonly device: Rig['devices'][number]
  readonly onPlug: (it: { device: number; plugged: boolean }) => void
}

/** Of a hall most devices stay as they are while one changes: only that one is drawn anew. */
const HallDevice = memo(function HallDevice({ device: d, onPlug }: HallDeviceProps) {
  return (
    <Box
      data-device={d.name}
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: 1.5,
        border: '1px solid',
        borderColor: 'divider',
        borderRadius: 1,
        px: 1.5,
        py: 0.75,
      }}
    >
      <Box sx={{ flex: 1 }}>
        <b>{d.name}</b> {phase(d)}
        {d.address !== '' && <div className="mono">{d.address}</div>}
      </Box>
      <Button
        size="small"
        variant="outlined"
        onClick={() => onPlug({ device: d.id, plugged: d.phase === 'off' })}
      >
        {d.phase === 'off' ? 'Plug in' : 'Unplug'}
      </Button>
    </Box>
  )
})

/** Lenses and the like are fitted, not plugged. */
function pluggable(d: Rig['devices'][number]): boolean {
  return d.power !== 'none needed'
}

function phase(d: Rig['devices'][number]): string {
  if (d.phase === 'off') return d.power
  return d.phase === 'up' ? 'running' : `boots, ${duration(d.secondsToBoot)}`
}
