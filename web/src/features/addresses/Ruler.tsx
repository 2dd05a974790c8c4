import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import { useTheme } from '@mui/material/styles'
import { useState } from 'react'
import type { KeyboardEvent } from 'react'
import { rights } from '../../shared/api/changes'
import type { Device, Job, Subnet } from '../../shared/api/types'
import { bits, dotted } from '../../shared/format/address'
import { RulerMark } from './RulerMark'
import { notOurs, spans } from './notOurs'
import { hostNumber, labels, levels, moved, tickStep, wholeOf, zoomed } from './rulerScale'
import type { Window } from './rulerScale'

const WIDTH = 740
const HEIGHT = 128
const BAR = { top: 66, height: 24 }

interface RulerProps {
  readonly job: Job
  readonly subnet: Subnet
  /** Somebody wants a device elsewhere. */
  readonly onMove: (device: Device, to: string) => void
}

/** The subnet as a ruler: pool, taken, gateway, blocks and devices at their host numbers. */
export function Ruler({ job, subnet, onMove }: RulerProps) {
  const [view, setView] = useState<Window>(wholeOf(subnet))
  const size = view.last - view.first + 1
  const change = (next: Window) => setView(next)
  const onKey = (event: KeyboardEvent) => {
    const step = Math.max(1, Math.round(size / 8))
    if (event.key === 'ArrowLeft') change(moved(view, -step, subnet))
    else if (event.key === 'ArrowRight') change(moved(view, step, subnet))
    else if (event.key === '+' || event.key === '=') change(zoomed(view, 0.5, subnet))
    else if (event.key === '-') change(zoomed(view, 2, subnet))
    else return
    event.preventDefault()
  }
  return (
    <Paper
      sx={{ p: 1.5 }}
      tabIndex={0}
      onKeyDown={onKey}
      aria-label="Ruler of the subnet; plus and minus zoom, arrows move"
    >
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, mb: 0.5, flexWrap: 'wrap' }}>
        <span className="mono" style={{ fontSize: '1.1rem' }}>
          {subnet.cidr}
        </span>
        <Box component="span" sx={{ color: 'text.secondary', flex: 1 }}>
          mask <span className="mono">{subnet.mask}</span>, gateway{' '}
          <span className="mono">{subnet.gateway}</span>, {subnet.hosts} hosts
        </Box>
        <Button size="small" onClick={() => change(zoomed(view, 0.5, subnet))}>
          + closer
        </Button>
        <Button size="small" onClick={() => change(zoomed(view, 2, subnet))}>
          − wider
        </Button>
        <Button size="small" onClick={() => change(zoomed({ first: 0, last: 63 }, 1, subnet))}>
          cameras
        </Button>
        <Button size="small" onClick={() => change(wholeOf(subnet))}>
          whole
        </Button>
      </Box>
      <Drawing job={job} subnet={subnet} view={view} onMove={onMove} />
      <Legend />
    </Paper>
  )
}

function Drawing({ job, subnet, view, onMove }: RulerProps & { readonly view: Window }) {
  const { palette } = useTheme()
  const size = view.last - view.first + 1
  const x = (host: number) => ((host - view.first) / size) * WIDTH
  const cell = WIDTH / size
  const step = tickStep(view)
  const ticks: number[] = []
  for (let h = Math.ceil(view.first / step) * step; h <= view.last; h += step) ticks.push(h)
  const stops = new Set(
    job.findings
      .filter((f) => f.discipline === 'addresses' && f.severity === 'stop' && f.waiver === null)
      .flatMap((f) => f.deviceIds),
  )
  const { pools, taken, kept } = notOurs(job, subnet)
  const marks = job.devices.flatMap((d) => {
    const host = hostNumber(subnet, d.address)
    return host === undefined || host < view.first || host > view.last
      ? []
      : [{ device: d, name: d.name, host, x: x(host) + cell / 2, stopped: stops.has(d.id) }]
  })
  const colour = (stopped: boolean) => (stopped ? palette.error.main : palette.primary.main)
  const names = [false, true].flatMap((stopped) =>
    labels(marks.filter((m) => m.stopped === stopped)).map((l) => ({ ...l, stopped })),
  )
  names.sort((a, b) => a.x - b.x)
  const heights = levels(names)
  const placed = names.flatMap((n, i) => {
    const level = heights[i]
    return level === undefined ? [] : [{ ...n, level }]
  })
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      width="100%"
      role="group"
      aria-label={`Hosts ${view.first} to ${view.last} of ${subnet.cidr}`}
      style={{ touchAction: 'none' }}
    >
      <defs>
        <pattern id="pool" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" y1="0" x2="0" y2="8" stroke={palette.text.secondary} strokeWidth="2.5" />
        </pattern>
        <clipPath id="ruler">
          <rect x="0" y="0" width={WIDTH} height={HEIGHT} />
        </clipPath>
      </defs>
      <g clipPath="url(#ruler)">
        <rect x="0" y={BAR.top} width={WIDTH} height={BAR.height} fill="none" stroke={palette.divider} />
        {spans(subnet, subnet.blocks).map((s) => (
          <g key={s.what}>
            <line
              x1={x(s.first)}
              x2={x(s.last) + cell}
              y1={BAR.top + 31}
              y2={BAR.top + 31}
              stroke={palette.secondary.main}
              strokeWidth="3"
            />
            <text x={x(s.first)} y={BAR.top + 46} fontSize="13" fill={palette.secondary.main}>
              {(s.last - s.first + 1) * cell > 6.5 * s.what.length ? s.what : ''}
            </text>
          </g>
        ))}
        {pools.map((s) => (
          <rect
            key={s.first}
            x={x(s.first)}
            y={BAR.top}
            width={(s.last - s.first + 1) * cell}
            height={BAR.height}
            fill="url(#pool)"
          >
            <title>{`DHCP pool ${s.label}`}</title>
          </rect>
        ))}
        {taken.map((s) => (
          <rect
            key={s.first}
            x={x(s.first)}
            y={BAR.top}
            width={Math.max(3, (s.last - s.first + 1) * cell)}
            height={BAR.height}
            fill={palette.text.secondary}
          >
            <title>{`${s.what}: ${s.label}`}</title>
          </rect>
        ))}
        {ticks.map((h) => (
          <g key={h}>
            <line
              x1={x(h) + cell / 2}
              x2={x(h) + cell / 2}
              y1={BAR.top}
              y2={BAR.top + 6}
              stroke={palette.text.primary}
            />
            <text
              x={x(h) + cell / 2}
              y={HEIGHT - 2}
              fontSize="13"
              textAnchor="middle"
              fill={palette.text.secondary}
            >
              {subnet.hosts <= 254 ? `.${h}` : h}
            </text>
          </g>
        ))}
        {kept.map((s) => (
          <rect
            key={s.first}
            x={x(s.first)}
            y={BAR.top}
            width={Math.max(3, (s.last - s.first + 1) * cell)}
            height={BAR.height}
            fill="none"
            stroke={palette.text.secondary}
            strokeDasharray="3 3"
            strokeWidth="2"
          >
            <title>{`kept back: ${s.label}`}</title>
          </rect>
        ))}
        {marks.map((m) => (
          <RulerMark
            key={m.device.id}
            device={m.device}
            host={m.host}
            hosts={subnet.hosts}
            may={rights(job).plan}
            at={(host) => x(host) + cell / 2}
            bar={BAR}
            stopped={m.stopped}
            colour={colour(m.stopped)}
            width={WIDTH}
            cell={cell}
            address={(host) => dotted((bits(subnet.network) ?? 0) + host)}
            onMove={(host) => onMove(m.device, dotted((bits(subnet.network) ?? 0) + host))}
          />
        ))}
        {placed.map((n) => (
          <line
            key={n.name}
            x1={n.x}
            x2={n.x}
            y1={nameTop(n.level) - 10}
            y2={BAR.top}
            stroke={colour(n.stopped)}
            strokeWidth="2"
          />
        ))}
        {placed.map((n) => (
          <Name key={n.name} {...n} colour={colour(n.stopped)} />
        ))}
      </g>
    </svg>
  )
}

interface NameProps {
  readonly x: number
  readonly name: string
  readonly level: number
  readonly colour: string
}

const nameTop = (level: number) => 48 - level * 17

/** A name over its mark, clear of the lines behind it; near the right end it is written to the left. */
function Name({ x, name, level, colour }: NameProps) {
  const { palette } = useTheme()
  const late = x > WIDTH - 110
  return (
    <text
      x={late ? x - 5 : x + 5}
      y={nameTop(level)}
      fontSize="14"
      fontWeight="600"
      fill={colour}
      stroke={palette.background.paper}
      strokeWidth="5"
      paintOrder="stroke"
      textAnchor={late ? 'end' : 'start'}
    >
      {name}
    </text>
  )
}

function Legend() {
  const { palette } = useTheme()
  const item = (swatch: React.ReactNode, word: string) => (
    <Box component="span" sx={{ display: 'inline-flex', alignItems: 'center', gap: 0.75 }}>
      <svg width="18" height="14" aria-hidden="true">
        {swatch}
      </svg>
      {word}
    </Box>
  )
  return (
    <Box sx={{ display: 'flex', gap: 2.5, flexWrap: 'wrap', color: 'text.secondary', fontSize: '0.9rem' }}>
      {item(<rect width="18" height="14" fill="url(#pool)" />, 'DHCP pool')}
      {item(<rect width="18" height="14" fill={palette.text.secondary} />, 'taken by others')}
      {item(
        <line x1="0" x2="18" y1="7" y2="7" stroke={palette.secondary.main} strokeWidth="3" />,
        'block by role',
      )}
      {item(
        <line x1="9" x2="9" y1="0" y2="14" stroke={palette.primary.main} strokeWidth="2" />,
        'our device',
      )}
      {item(<path d="M9 1l7 12H2z" fill={palette.error.main} />, 'stopped by a finding')}
    </Box>
  )
}
