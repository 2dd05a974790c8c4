import Box from '@mui/material/Box'
import type { ShotList, ShotRun, Take } from '../../shared/api/types'
import { clockText } from './clock'

interface Props {
  readonly list: ShotList
  readonly run: ShotRun | undefined
}

const LABEL = 92
const LANE = 40

/** Time from left to right, a lane for each camera; its way hatched before the take that it is for. */
export function Strip({ list, run }: Props) {
  const cameras = [...new Map(list.takes.map((t) => [t.device, t.camera])).entries()]
  const total = Math.max(list.seconds, 1)
  const share = (seconds: number) => `${(100 * seconds) / total}%`
  const onAir = list.takes.find((t) => t.id === run?.at)
  return (
    <Box role="img" aria-label={stripWords(list)} sx={{ position: 'relative', mb: 2, userSelect: 'none' }}>
      {cameras.map(([device, camera]) => (
        <Box
          key={device}
          sx={{ display: 'flex', height: LANE, borderTop: '1px solid', borderColor: 'divider' }}
        >
          <Box sx={{ width: LABEL, pr: 1, alignSelf: 'center', fontWeight: 600, overflow: 'hidden' }}>
            {camera}
          </Box>
          <Box sx={{ position: 'relative', flex: 1 }}>
            {list.takes
              .filter((t) => t.device === device)
              .map((t) => (
                <TakeMark key={t.id} take={t} share={share} total={total} onAir={t.id === onAir?.id} />
              ))}
          </Box>
        </Box>
      ))}
      <Box sx={{ position: 'relative', ml: `${LABEL}px`, height: 22, borderTop: '2px solid' }}>
        {ticks(total).map((s) => (
          <Box
            key={s}
            component="span"
            className="mono"
            sx={{
              position: 'absolute',
              left: share(s),
              pl: 0.5,
              borderLeft: '1px solid',
              fontSize: '0.82rem',
            }}
          >
            {clockText(s)}
          </Box>
        ))}
      </Box>
      {onAir && run && (
        <Box
          sx={{
            position: 'absolute',
            top: 0,
            bottom: 22,
            left: `calc(${LABEL}px + (100% - ${LABEL}px) * ${Math.min(onAir.start + run.elapsed, onAir.until) / total})`,
            borderLeft: '3px solid',
            borderColor: 'primary.main',
          }}
        />
      )}
    </Box>
  )
}

interface MarkProps {
  readonly take: Take
  readonly share: (seconds: number) => string
  readonly onAir: boolean
  /** Seconds of the whole list. */
  readonly total: number
}

function TakeMark({ take, share, onAir, total }: MarkProps) {
  const way = take.way
  const late = way?.late ?? 0
  const fromEnd = take.until > 0.85 * total
  return (
    <>
      {way && (
        <Box
          title={`${take.camera} needs ${way.needed.toFixed(1)} s and has ${way.free.toFixed(1)} s`}
          sx={{
            position: 'absolute',
            left: share(take.start - Math.min(way.free, way.needed)),
            width: share(way.needed),
            top: 10,
            height: LANE - 20,
            opacity: 0.8,
            background: (t) =>
              `repeating-linear-gradient(45deg, transparent 0 4px, ${late ? t.palette.error.main : t.palette.text.secondary} 4px 6px)`,
          }}
        />
      )}
      <Box
        data-late={late > 0 || undefined}
        title={`${take.number}: ${take.subject}`}
        sx={{
          position: 'absolute',
          left: share(take.start + late),
          width: share(Math.max(take.until - take.start - late, 0.4)),
          top: 4,
          height: LANE - 8,
          px: 0.75,
          pl: late ? 1.5 : 0.75,
          bgcolor: onAir ? 'primary.main' : 'secondary.main',
          color: onAir ? 'primary.contrastText' : 'secondary.contrastText',
          overflow: 'hidden',
          whiteSpace: 'nowrap',
          textOverflow: 'ellipsis',
          lineHeight: `${LANE - 8}px`,
          fontSize: '0.92rem',
          // What does not fit is torn off at its beginning.
          clipPath: late ? TORN : undefined,
        }}
      >
        <b>{take.number}</b> {take.subject}
      </Box>
      {late > 0 && (
        <Box
          sx={{
            position: 'absolute',
            ...(fromEnd
              ? { right: `calc(100% - ${share(take.start)} + 34px)` }
              : { left: share(take.until) }),
            px: 0.75,
            lineHeight: `${LANE}px`,
            whiteSpace: 'nowrap',
            color: 'error.main',
            fontWeight: 600,
          }}
        >
          {late.toFixed(1)} s late
        </Box>
      )}
    </>
  )
}

const TORN =
  'polygon(8px 0, 100% 0, 100% 100%, 6px 100%, 0 84%, 8px 70%, 1px 54%, 9px 40%, 2px 26%, 10px 12%)'

/** About eight, at whole steps. */
function ticks(total: number): readonly number[] {
  const step = [1, 2, 5, 10, 15, 30, 60, 120, 300, 600, 1800, 3600].find((s) => total / s <= 9) ?? 7200
  return Array.from({ length: Math.ceil(total / step) }, (_, i) => i * step).filter((s) => s < 0.94 * total)
}

function stripWords(list: ShotList): string {
  return list.takes
    .map((t) => `${t.number} ${t.camera} ${clockText(t.start)}${t.way?.late ? ', late' : ''}`)
    .join('; ')
}
