import Box from '@mui/material/Box'
import { useTheme } from '@mui/material/styles'
import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { post } from '../../shared/api/client'
import type { Curve, Sum } from './sums'
import { pointsOf } from './sums'

interface Props {
  readonly sum: Sum
  readonly curve: Curve
  readonly body: Readonly<Record<string, unknown>>
}

type Point = readonly [x: number, y: number]

const WIDTH = 500
const HEIGHT = 170
const LEFT = 46
const BOTTOM = 26

/** One figure against one input, every point worked out by the same calculator. */
export function Plot({ sum, curve, body }: Props) {
  const at = Number(body[curve.x])
  const points = useQuery({
    queryKey: ['curve', sum.name, curve, body],
    queryFn: () =>
      Promise.all(
        pointsOf(curve, at).map(async (x): Promise<Point | undefined> => {
          const out = await post<Record<string, unknown>>(`/api/sums/${sum.name}`, { ...body, [curve.x]: x })
          const y = out[curve.y]
          return typeof y === 'number' ? [x, y] : undefined
        }),
      ),
    placeholderData: keepPreviousData,
    enabled: Number.isFinite(at),
    retry: false,
    staleTime: Infinity,
  })
  const drawn = points.data?.filter((p) => p !== undefined)
  if (!drawn || drawn.length < 2) return null
  const least = curve.least === undefined ? undefined : Number(body[curve.least])
  return <Drawn sum={sum} curve={curve} points={drawn} at={at} least={least} />
}

interface DrawnProps {
  readonly sum: Sum
  readonly curve: Curve
  readonly points: readonly Point[]
  readonly at: number
  readonly least: number | undefined
}

function Drawn({ sum, curve, points, at, least }: DrawnProps) {
  const t = useTheme()
  const xs = points.map((p) => p[0])
  const ys = [...points.map((p) => p[1]), ...(least === undefined ? [] : [least])]
  const [x0, x1] = [Math.min(...xs), Math.max(...xs)]
  const top = Math.max(...ys)
  const low = Math.min(0, ...ys)
  const bottom = curve.least === undefined ? low : Math.min(...ys) - (top - Math.min(...ys)) * 0.1
  const px = (x: number) => LEFT + ((x - x0) / (x1 - x0 || 1)) * (WIDTH - LEFT - 12)
  const py = (y: number) => 12 + (1 - (y - bottom) / (top - bottom || 1)) * (HEIGHT - BOTTOM - 12)
  const field = sum.fields.find((f) => f.key === curve.x)
  const figure = sum.results.find((r) => r.key === curve.y)
  const here = points.find((p) => p[0] === at)
  const axis = { fontSize: 12, fill: t.palette.text.secondary }
  const tick = (v: number) => (Math.abs(v) >= 100 ? v.toFixed(0) : String(Math.round(v * 10) / 10))
  return (
    <Box sx={{ mt: 2 }}>
      <svg
        role="img"
        aria-label={`${figure?.words} against ${field?.words}`}
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        width="100%"
      >
        <line
          x1={LEFT}
          y1={HEIGHT - BOTTOM}
          x2={WIDTH - 12}
          y2={HEIGHT - BOTTOM}
          stroke={t.palette.divider}
        />
        <line x1={LEFT} y1={12} x2={LEFT} y2={HEIGHT - BOTTOM} stroke={t.palette.divider} />
        {least !== undefined && (
          <>
            <line
              x1={LEFT}
              y1={py(least)}
              x2={WIDTH - 12}
              y2={py(least)}
              stroke={t.palette.error.main}
              strokeDasharray="5 4"
            />
            <text x={WIDTH - 14} y={py(least) - 4} textAnchor="end" fontSize={12} fill={t.palette.error.main}>
              least {least} {figure?.unit}
            </text>
          </>
        )}
        <polyline
          points={points.map((p) => `${px(p[0])},${py(p[1])}`).join(' ')}
          fill="none"
          stroke={t.palette.secondary.main}
          strokeWidth={2.5}
        />
        {here && <circle cx={px(here[0])} cy={py(here[1])} r={5} fill={t.palette.primary.main} />}
        <text x={LEFT - 6} y={18} textAnchor="end" {...axis}>
          {tick(top)}
        </text>
        <text x={LEFT - 6} y={HEIGHT - BOTTOM} textAnchor="end" {...axis}>
          {tick(bottom)}
        </text>
        <text x={LEFT} y={HEIGHT - 8} {...axis}>
          {tick(x0 < x1 / 100 ? 0 : x0)}
        </text>
        <text x={WIDTH - 12} y={HEIGHT - 8} textAnchor="end" {...axis}>
          {tick(x1)} {field?.unit}
        </text>
        <text x={(LEFT + WIDTH) / 2} y={HEIGHT - 8} textAnchor="middle" {...axis}>
          {figure?.words}, {figure?.unit} against {field?.words.toLowerCase()}
        </text>
      </svg>
    </Box>
  )
}
