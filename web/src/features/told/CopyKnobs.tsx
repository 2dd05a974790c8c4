import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import FormControlLabel from '@mui/material/FormControlLabel'
import Checkbox from '@mui/material/Checkbox'
import { useState } from 'react'
import type { ToldView } from '../../shared/api/types'
import type { useKnobs } from './useTold'

interface Props {
  readonly from: ToldView
  readonly views: readonly ToldView[]
  readonly chosen: ReadonlySet<string>
  readonly knobs: ReturnType<typeof useKnobs>
}

/** Copies the ticked knobs of the first camera to others that have the same knob in the same range. */
export function CopyKnobs({ from, views, chosen, knobs }: Props) {
  const [to, setTo] = useState<readonly number[]>([])
  const [done, setDone] = useState('')
  const others = views.filter((v) => v.device !== from.device)
  if (others.length === 0) return null
  const same = (view: ToldView, name: string) => {
    const a = from.knobs.find((k) => k.name === name)
    const b = view.knobs.find((k) => k.name === name)
    return a && b && a.least === b.least && a.most === b.most ? b : undefined
  }
  const copy = async () => {
    let turnedCount = 0
    const left: string[] = []
    for (const view of others.filter((v) => to.includes(v.device))) {
      for (const name of chosen) {
        const knob = same(view, name)
        const value = knobs.readings[from.device]?.[name]?.value
        if (knob && typeof value === 'number' && (await knobs.turn(view, knob, value))) turnedCount++
        else left.push(`${view.name} ${name}`)
      }
    }
    const words = `${turnedCount} knobs turned.`
    setDone(left.length === 0 ? words : `${words} Not turned: ${left.join(', ')}.`)
  }
  return (
    <Box
      component="section"
      aria-label="Copy"
      sx={{ mt: 2, borderTop: '1px solid', borderColor: 'divider', pt: 1 }}
    >
      <Box component="h2" sx={{ typography: 'h2', m: 0 }}>
        Copy from {from.name}
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center' }}>
        <Box sx={{ mr: 2 }}>
          {chosen.size === 0 ? 'Tick the knobs above, and the cameras here:' : `${chosen.size} knobs to:`}
        </Box>
        {others.map((v) => (
          <FormControlLabel
            key={v.device}
            label={v.name}
            control={
              <Checkbox
                size="small"
                checked={to.includes(v.device)}
                onChange={() =>
                  setTo((all) =>
                    all.includes(v.device) ? all.filter((d) => d !== v.device) : [...all, v.device],
                  )
                }
              />
            }
          />
        ))}
        <Button
          variant="outlined"
          disabled={chosen.size === 0 || to.length === 0}
          onClick={() => void copy()}
        >
          Copy
        </Button>
      </Box>
      <Box role="status" sx={{ minHeight: 24 }}>
        {done}
      </Box>
    </Box>
  )
}
