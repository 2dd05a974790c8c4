import Box from '@mui/material/Box'
import ButtonBase from '@mui/material/ButtonBase'
import TextField from '@mui/material/TextField'
import { useRef, useState } from 'react'
import type { KeyboardEvent } from 'react'
import { Refused, sentence } from '../../shared/api/client'
import { useChange } from '../../shared/api/job'
import type { Device, Finding, Job } from '../../shared/api/types'

interface Props {
  readonly job: Job
  readonly device: Device
  readonly findings: readonly Finding[]
}

/** An address that is edited where it stands; a refusal or a finding shows right here. */
export function AddressCell({ job, device, findings }: Props) {
  const [typed, setTyped] = useState<string>()
  const started = useRef('')
  const input = useRef<HTMLInputElement>(null)
  const change = useChange(job.id)
  const begin = () => {
    started.current = device.address
    setTyped(device.address)
  }
  const leave = () => {
    change.reset()
    setTyped(undefined)
  }
  const take = () => {
    if (typed === undefined || change.isPending) return
    const after = typed.trim()
    if (after === started.current) return leave()
    change.mutate([{ deviceId: device.id, field: 'address', before: started.current, after }], {
      onSuccess: leave,
      onError: (error) => mark(input.current, error),
    })
  }
  const onKey = (event: KeyboardEvent) => {
    if (event.key === 'Enter') take()
    if (event.key === 'Escape') leave()
    event.stopPropagation()
  }
  if (typed === undefined) {
    return (
      <ButtonBase
        onClick={begin}
        aria-label={`Change the address of ${device.name}`}
        sx={{ font: 'inherit', textAlign: 'left', borderBottom: '1px dashed', borderColor: 'text.secondary' }}
      >
        <span>
          {device.address ? `${device.address}/${device.prefix}` : 'none'}
          <Codes findings={findings} />
        </span>
      </ButtonBase>
    )
  }
  return (
    <TextField
      autoFocus
      inputRef={input}
      value={typed}
      onChange={(e) => setTyped(e.target.value)}
      onKeyDown={onKey}
      onBlur={take}
      error={change.isError}
      helperText={change.error ? sentence(change.error) : 'Enter takes it, empty plans none'}
      slotProps={{
        htmlInput: { className: 'mono', 'aria-label': `Address of ${device.name}`, spellCheck: false },
      }}
    />
  )
}

/** Selects from the first wrong character on, so that typing goes on right there. */
function mark(input: HTMLInputElement | null, error: unknown) {
  if (input && error instanceof Refused && error.index !== undefined) {
    input.setSelectionRange(error.index, input.value.length)
  }
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
