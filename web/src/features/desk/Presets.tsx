import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useQuery } from '@tanstack/react-query'
import { memo, useState } from 'react'
import { rights } from '../../shared/api/changes'
import { get, sentence } from '../../shared/api/client'
import type { Job, Preset, PresetRow } from '../../shared/api/types'
import { Trouble } from '../../shared/ui/Trouble'
import { PresetDetails } from './PresetDetails'
import { PresetPreview } from './PresetPreview'
import { PresetStoring } from './PresetStoring'
import { RowTools } from './RowTools'
import { called, holdsWords, namesWords, typedFor } from './presets'
import { usePresetKeys } from './usePresetKeys'

interface Props {
  readonly job: Job
  readonly device: number
  readonly onAir: boolean
  readonly onRecall: (number: number) => void
}

const PREVIEWS = 'jerboa.preset-twice'
const NOTHING = { device: 0, number: -1 }
const NONE: ReadonlyMap<number, string> = new Map()

/** The views that the taken camera keeps: pressed, it goes there. */
export const Presets = memo(function Presets({ job, device, onAir, onRecall }: Props) {
  const all = useQuery({
    queryKey: ['job', job.id, 'presets', job.version],
    queryFn: () => get<readonly PresetRow[]>(`/api/jobs/${job.id}/presets`),
    placeholderData: (before) => before,
  })
  const row = all.data?.find((r) => r.device === device)
  const [previews, setPreviews] = useState(localStorage.getItem(PREVIEWS) === 'yes')
  const [chosen, setChosen] = useState(NOTHING)
  const [details, setDetails] = useState(-1)
  const [storing, setStoring] = useState(false)
  function press(number: number) {
    if (previews && !(chosen.device === device && chosen.number === number)) {
      setChosen({ device, number })
      return
    }
    setChosen(NOTHING)
    onRecall(number)
  }
  usePresetKeys(
    row
      ? typedFor(
          row,
          row.presets.map((p) => p.number),
        )
      : NONE,
    press,
  )
  if (all.error) return <Trouble>{sentence(all.error)}</Trouble>
  if (!row) return null
  const stillOf = (p: Preset) =>
    p.still === null ? '' : `/api/jobs/${job.id}/presets/${device}/${p.number}/still?of=${p.still}`
  // Of this camera alone: another that is taken meanwhile has the same numbers.
  const preview = chosen.device === device ? row.presets.find((p) => p.number === chosen.number) : undefined
  const shown = row.presets.find((p) => p.number === details)
  const may = rights(job).drive
  return (
    <Box component="section" aria-label={`Presets of ${row.camera}`} sx={{ mt: 1.5 }}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 2 }}>
        <Box component="h2" sx={{ typography: 'h2', m: 0 }}>
          Presets
        </Box>
        <Box sx={{ color: 'text.secondary', fontSize: '0.88rem', flex: 1 }}>
          {namesWords(row)}; p and its number recalls
        </Box>
        <label style={{ fontSize: '0.92rem' }}>
          <input
            type="checkbox"
            checked={previews}
            onChange={(e) => {
              // Space must stop, not tick this again.
              e.currentTarget.blur()
              setPreviews(e.target.checked)
              setChosen(NOTHING)
              localStorage.setItem(PREVIEWS, e.target.checked ? 'yes' : 'no')
            }}
          />{' '}
          preview first
        </label>
      </Box>
      {may && preview && (
        <PresetPreview
          job={job}
          preset={preview}
          name={called(row, preview.number)}
          still={stillOf(preview)}
          onTake={() => press(preview.number)}
          onLeave={() => setChosen(NOTHING)}
        />
      )}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, mt: 0.5 }}>
        {row.presets.map((p) => (
          <PresetKey
            key={p.id}
            preset={p}
            name={called(row, p.number)}
            still={stillOf(p)}
            chosen={preview === p}
            may={may}
            onPress={() => press(p.number)}
            onDetails={() => setDetails(details === p.number ? -1 : p.number)}
          />
        ))}
        {may && (
          <Button variant="outlined" aria-expanded={storing} onClick={() => setStoring(!storing)}>
            Store this view …
          </Button>
        )}
        {row.presets.length === 0 && (
          <Box sx={{ alignSelf: 'center' }}>None is noted yet. Drive to a view, then store it.</Box>
        )}
      </Box>
      {may && <RowTools job={job} row={row} rows={all.data ?? []} onAir={onAir} />}
      {storing && <PresetStoring key={device} job={job} row={row} onClose={() => setStoring(false)} />}
      {shown && <PresetDetails key={shown.id} job={job} row={row} preset={shown} />}
    </Box>
  )
})

interface PresetKeyProps {
  readonly preset: Preset
  /** What it is called. */
  readonly name: string
  /** What it saw when it was stored; blank for none. */
  readonly still: string
  readonly chosen: boolean
  readonly may: boolean
  readonly onPress: () => void
  readonly onDetails: () => void
}

function PresetKey({ preset: p, name, still, chosen, may, onPress, onDetails }: PresetKeyProps) {
  return (
    <Box sx={{ display: 'flex' }}>
      <Button
        variant={chosen ? 'contained' : 'outlined'}
        disabled={!may}
        title={p.note || holdsWords(p)}
        onClick={(e) => {
          // Space must stop, not press this again.
          e.currentTarget.blur()
          onPress()
        }}
        sx={{
          flexDirection: 'column',
          alignItems: 'flex-start',
          lineHeight: 1.25,
          maxWidth: 180,
          borderTopRightRadius: 0,
          borderBottomRightRadius: 0,
        }}
      >
        {still !== '' && (
          <img
            src={still}
            alt=""
            width={160}
            height={90}
            style={{ display: 'block', objectFit: 'cover', margin: '-2px -6px 4px', borderRadius: 4 }}
          />
        )}
        <span>
          <span style={{ fontSize: '1.15rem', fontVariantNumeric: 'tabular-nums' }}>{name}</span> {p.name}
        </span>
        <Box
          component="span"
          sx={{
            fontWeight: 400,
            fontSize: '0.84rem',
            textAlign: 'left',
          }}
        >
          {chosen ? 'press again' : holdsWords(p)}
        </Box>
      </Button>
      <Button
        variant="outlined"
        aria-label={`About preset ${name}`}
        onClick={onDetails}
        sx={{ minWidth: 36, px: 0, ml: '-1px', borderTopLeftRadius: 0, borderBottomLeftRadius: 0 }}
      >
        …
      </Button>
    </Box>
  )
}
