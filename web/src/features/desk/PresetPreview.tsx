import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { pressing, typing, useKeys } from '../../shared/ui/keys'
import { dayAndTime } from '../../shared/format/moment'
import type { Job, Preset } from '../../shared/api/types'
import { holdsWords } from './presets'

interface Props {
  readonly job: Job
  readonly preset: Preset
  /** What it is called. */
  readonly name: string
  /** Where what it saw is; blank for none. */
  readonly still: string
  readonly onTake: () => void
  readonly onLeave: () => void
}

/** What a view saw when it was stored, before the head goes there: nothing moves until it is taken. */
export function PresetPreview({ job, preset: p, name, still, onTake, onLeave }: Props) {
  useKeys((e) => {
    if (typing(e.target) || e.ctrlKey || e.metaKey || e.altKey) return
    if (e.key === 'Enter' && !pressing(e.target)) {
      e.preventDefault()
      onTake()
    } else if (e.key === 'x') {
      onLeave()
    }
  })
  return (
    <Box
      role="group"
      aria-label={`Preview of preset ${name}`}
      sx={{ display: 'flex', gap: 2, my: 0.75, alignItems: 'start' }}
    >
      {still !== '' && (
        <img
          src={still}
          alt={`What preset ${name} saw when it was stored`}
          width={288}
          height={162}
          style={{ display: 'block', objectFit: 'cover', borderRadius: 6 }}
        />
      )}
      <Box sx={{ maxWidth: 260 }}>
        <Box sx={{ typography: 'h2' }}>
          {name} {p.name}
        </Box>
        <Box>{holdsWords(p)}</Box>
        <Box sx={{ color: 'text.secondary', mt: 0.5 }}>
          {still === ''
            ? 'No picture was kept of it.'
            : `As it was seen ${dayAndTime(p.at, job.site.clock)}; nothing has moved yet.`}
        </Box>
        <Box sx={{ display: 'flex', gap: 1, mt: 1 }}>
          <Button variant="contained" onClick={onTake}>
            Take it (Enter)
          </Button>
          <Button onClick={onLeave}>Leave it (x)</Button>
        </Box>
      </Box>
    </Box>
  )
}
