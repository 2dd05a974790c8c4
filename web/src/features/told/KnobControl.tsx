import Box from '@mui/material/Box'
import MenuItem from '@mui/material/MenuItem'
import Slider from '@mui/material/Slider'
import TextField from '@mui/material/TextField'
import { memo, useEffect, useRef, useState } from 'react'
import type { Knob, Reading } from '../../shared/api/types'
import { effectWords, held, valueWords } from './knobs'

interface Props {
  readonly knob: Knob
  readonly camera: string
  readonly reading: Reading | undefined
  /** Nothing of the camera was read: that is said once, above all its knobs. */
  readonly unread: boolean
  /** Why it cannot be turned now; empty when it can. */
  readonly kept: string
  /** Always the same function, so that only knobs that changed are drawn anew. */
  readonly onTurn: (device: number, knob: Knob, value: number) => void
  readonly device: number
}

/** One knob of one camera: a scale, the value wanted, and the value read back. */
export const KnobControl = memo(function KnobControl({
  knob,
  camera,
  device,
  reading,
  unread,
  kept,
  onTurn,
}: Props) {
  const read = reading?.value ?? null
  // What was wanted is forgotten once the camera says where it stands.
  const [last, setLast] = useState<{ readonly value: number; readonly over: Reading | undefined }>()
  const wanted = last && last.over === reading ? last.value : null
  const shown = wanted ?? read ?? knob.neutral ?? knob.least
  const turn = (value: number) => {
    const next = held(knob, value)
    setLast({ value: next, over: reading })
    onTurn(device, knob, next)
  }
  // Before it was read its scale would show a place where it does not stand.
  const off = kept !== '' || (knob.readable && (!reading || unread))
  const known = read !== null || wanted !== null || !knob.readable
  const name = `${knob.name} of ${camera}`
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', rowGap: 0 }}>
      {knob.choices.length > 0 ? (
        <TextField
          select
          size="small"
          value={known ? shown : ''}
          disabled={off}
          onChange={(e) => turn(Number(e.target.value))}
          slotProps={{ htmlInput: { 'aria-label': name } }}
          sx={{ width: 190, '& .MuiSelect-select': { py: 0.5 } }}
        >
          {knob.choices.map((c) => (
            <MenuItem key={c.value} value={c.value}>
              {c.name}
            </MenuItem>
          ))}
        </TextField>
      ) : (
        <Scale knob={knob} name={name} value={shown} known={known} off={off} onTurn={turn} />
      )}
      <Box sx={{ fontSize: '0.88rem', lineHeight: 1.3, color: off ? 'text.primary' : 'text.secondary' }}>
        {kept !== '' ? kept : <ReadBack knob={knob} reading={reading} unread={unread} />}
      </Box>
    </Box>
  )
})

function ReadBack({ knob, reading, unread }: Pick<Props, 'knob' | 'reading' | 'unread'>) {
  if (!knob.readable) return <>cannot be read back</>
  if (!reading) return <>reading …</>
  if (typeof reading.value !== 'number') return <>{unread ? 'not read' : reading.trouble}</>
  const effect = effectWords(knob, reading.value)
  return (
    <>
      reads {valueWords(knob, reading.value)}
      {effect && `, ${effect}${effect === 'neutral' ? '' : ' by the profile'}`}
    </>
  )
}

interface ScaleProps {
  readonly knob: Knob
  readonly name: string
  readonly value: number
  /** It was read, or is wanted: a scale without it shows no place. */
  readonly known: boolean
  readonly off: boolean
  readonly onTurn: (value: number) => void
}

/** Turned by its handle, arrow keys, the wheel over it, or a number typed. */
function Scale({ knob, name, value, known, off, onTurn }: ScaleProps) {
  const box = useRef<HTMLDivElement>(null)
  const [typed, setTyped] = useState<string>()
  useEffect(() => {
    const at = box.current
    if (!at || off) return
    // Only the knob that was clicked: a page scrolled past it must not turn a camera.
    const wheel = (e: WheelEvent) => {
      if (!at.contains(document.activeElement)) return
      e.preventDefault()
      onTurn(value + (e.deltaY < 0 ? 1 : -1))
    }
    // React's own wheel listener is passive and could not keep the page from scrolling.
    at.addEventListener('wheel', wheel, { passive: false })
    return () => at.removeEventListener('wheel', wheel)
  })
  const take = () => {
    const number = Number(typed)
    if (typed !== undefined && typed.trim() !== '' && Number.isFinite(number)) onTurn(number)
    setTyped(undefined)
  }
  return (
    <Box ref={box} sx={{ display: 'flex', alignItems: 'center', gap: 1.5 }}>
      <Slider
        aria-label={name}
        value={value}
        min={knob.least}
        max={knob.most}
        disabled={off}
        size="small"
        marks={typeof knob.neutral === 'number' ? [{ value: knob.neutral }] : []}
        onChange={(_, v) => onTurn(v)}
        sx={{ flex: 1, minWidth: 90, '& .MuiSlider-thumb': { display: known ? undefined : 'none' } }}
      />
      <TextField
        size="small"
        value={typed ?? (known ? String(value) : '')}
        disabled={off}
        onChange={(e) => setTyped(e.target.value)}
        onBlur={take}
        onKeyDown={(e) => {
          if (e.key === 'Enter') take()
          if (e.key === 'Escape') setTyped(undefined)
        }}
        slotProps={{ htmlInput: { 'aria-label': `${name}, typed`, inputMode: 'numeric', className: 'mono' } }}
        sx={{ width: 84, '& .MuiInputBase-input': { py: 0.4 } }}
      />
    </Box>
  )
}
