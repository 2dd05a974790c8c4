import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import { memo, useState } from 'react'
import type { DeskCamera } from '../../shared/api/types'
import type { Headless, Keyed } from './canDo'
import { hasHead } from './canDo'
import { StateMark } from '../../shared/ui/StateMark'
import { linkWords, presenceWords } from './presence'

interface Props {
  /** By number. */
  readonly cameras: readonly Keyed[]
  /** What can be done from afar, by camera. */
  readonly can: ReadonlyMap<number, string>
  /** The job's controller shows its keys in groups of so many; 0 for none. */
  readonly groupOf: number
  readonly taken: number
  readonly onTake: (camera: number) => void
}

/** More than these do not stand beside each other: they are shown in groups, and can be looked for. */
const MOST_AT_ONCE = 24
const GROUP = 20
/** So many letters stand on a key. */
const ROOM = 12

/** The tabs of all cameras; of many, those of one group or those that are looked for. */
export const CameraKeys = memo(function CameraKeys({ cameras, can, groupOf, taken, onTake }: Props) {
  // The group that was pressed, as long as the same camera is taken; else that of the taken one.
  const [pressed, setPressed] = useState({ group: 0, taken })
  const [wanted, setWanted] = useState('')
  const size = groupOf || GROUP
  const group = pressed.taken === taken ? pressed.group : groupWith(cameras, taken, size, pressed.group)
  const many = cameras.length > (groupOf || MOST_AT_ONCE)
  const shown = many ? fewOf(cameras, group, wanted, size) : cameras
  return (
    <Box role="group" aria-label="Cameras">
      {many && (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5, mb: 0.5, alignItems: 'center' }}>
          {groupsOf(cameras, size).map((name, i) => (
            <Button
              key={name}
              size="small"
              variant={wanted === '' && i === group ? 'contained' : 'outlined'}
              onClick={() => {
                setWanted('')
                setPressed({ group: i, taken })
              }}
            >
              {name}
            </Button>
          ))}
          <TextField
            size="small"
            label="Key or name"
            value={wanted}
            onChange={(e) => setWanted(e.target.value)}
            sx={{ width: 150 }}
          />
        </Box>
      )}
      <Box
        sx={{
          display: 'grid',
          gap: 0.75,
          gridTemplateColumns: 'repeat(auto-fill, minmax(78px, 1fr))',
          maxHeight: 124,
          overflow: 'auto',
        }}
      >
        {shown.map((c) =>
          hasHead(c) ? (
            <Tab key={c.id} camera={c} can={can.get(c.id) ?? ''} chosen={c.id === taken} onTake={onTake} />
          ) : (
            <DarkTab key={c.id} camera={c} can={can.get(c.id) ?? ''} onTake={onTake} />
          ),
        )}
        {shown.length === 0 && <span>No camera is called so.</span>}
      </Box>
    </Box>
  )
})

/** The group that this camera stands in; the one that is shown while there is none. */
export function groupWith(
  cameras: readonly { readonly id: number }[],
  taken: number,
  size: number,
  shown: number,
): number {
  const at = cameras.findIndex((c) => c.id === taken)
  return at < 0 ? shown : Math.floor(at / size)
}

/** What a group is called: the keys of its first and last camera. */
export function groupsOf(cameras: readonly { readonly key: string }[], size = GROUP): string[] {
  const names: string[] = []
  for (let i = 0; i < cameras.length; i += size) {
    const last = cameras[Math.min(i + size, cameras.length) - 1]
    names.push(`${cameras[i]?.key} to ${last?.key}`)
  }
  return names
}

/** Those that are looked for by number or name; all of the group when nobody looks. */
export function fewOf<C extends { readonly key: string; readonly name: string }>(
  cameras: readonly C[],
  group: number,
  wanted: string,
  size = GROUP,
): readonly C[] {
  const text = wanted.trim().toLowerCase()
  if (text === '') return cameras.slice(group * size, (group + 1) * size)
  return cameras.filter((c) => c.key.toLowerCase().startsWith(text) || c.name.toLowerCase().includes(text))
}

/** A tab that stands on the lower edge of the page. */
const SHAPE = {
  minWidth: 0,
  minHeight: 56,
  flexDirection: 'column',
  justifyContent: 'flex-start',
  px: 0.5,
  py: 0.25,
  lineHeight: 1.25,
  overflow: 'hidden',
  borderBottomLeftRadius: 0,
  borderBottomRightRadius: 0,
} as const

function KeyAndName({ camera }: { readonly camera: Keyed }) {
  return (
    <span>
      <span className="mono" style={{ fontSize: '1.25rem' }}>
        {camera.key}
      </span>{' '}
      {camera.name}
    </span>
  )
}

/** One without a head: nothing to drive, and what there is to turn. */
const DarkTab = memo(function DarkTab({
  camera: c,
  can,
  onTake,
}: {
  readonly camera: Headless
  readonly can: string
  readonly onTake: (camera: number) => void
}) {
  return (
    <Button
      variant="text"
      onClick={(e) => {
        e.currentTarget.blur()
        onTake(c.id)
      }}
      title={`No head: ${can}`}
      sx={{
        ...SHAPE,
        border: '1px dashed',
        borderColor: 'divider',
      }}
    >
      <KeyAndName camera={c} />
      <Box component="span" sx={{ fontWeight: 400, fontSize: '0.82rem', whiteSpace: 'nowrap' }}>
        {can.length <= ROOM ? can : 'no head'}
      </Box>
    </Button>
  )
})

interface TabProps {
  readonly camera: DeskCamera
  readonly can: string
  readonly chosen: boolean
  readonly onTake: (camera: number) => void
}

/** Number, name, what stands of it; a filled bar with words when it is on air. */
const Tab = memo(function Tab({ camera: c, can, chosen, onTake }: TabProps) {
  return (
    <Button
      variant={chosen ? 'contained' : 'outlined'}
      aria-pressed={chosen}
      onClick={(e) => {
        // Space must stop, not press this key again.
        e.currentTarget.blur()
        onTake(c.id)
      }}
      title={[c.cannot || c.through, can, presenceWords(c)].filter(Boolean).join('. ')}
      sx={SHAPE}
    >
      {c.onAir && (
        <Box
          component="span"
          sx={{
            alignSelf: 'stretch',
            mx: -0.5,
            mt: -0.25,
            bgcolor: 'text.primary',
            color: 'background.default',
            fontSize: '0.86rem',
          }}
        >
          on air
        </Box>
      )}
      <KeyAndName camera={c} />
      <Box
        component="span"
        sx={{
          fontWeight: 400,
          fontSize: '0.82rem',
          maxWidth: 1,
          overflow: 'hidden',
          textOverflow: 'ellipsis',
          whiteSpace: 'nowrap',
        }}
      >
        {linkWords(c) ?? (c.heldBy && !chosen ? `${c.heldBy.split(' ')[0]} drives` : what(c))}
      </Box>
    </Button>
  )
})

/** That it is dark, else how far it is proved; why, and what stands between, the camera says when it is taken. */
function what(c: DeskCamera) {
  return c.cannot ? 'no way' : <StateMark mark={c.mark} />
}
