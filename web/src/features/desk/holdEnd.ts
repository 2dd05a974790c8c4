import type { DeskCamera } from '../../shared/api/types'
import type { Position } from './messages'

type Moving = Pick<
  Position,
  | 'panDegrees'
  | 'tiltDegrees'
  | 'rollDegrees'
  | 'railMetres'
  | 'panPerSecond'
  | 'tiltPerSecond'
  | 'rollPerSecond'
  | 'railPerSecond'
>
type Limits = Pick<DeskCamera['limits'], 'panLeft' | 'panRight' | 'tiltDown' | 'tiltUp' | 'roll' | 'rail'>

/** Where a steady move ends by itself, at the limit of the head that it comes to first. */
export interface HoldEnd {
  readonly seconds: number
  /** Of what moves, in words with its unit: “pan 170°”. */
  readonly places: readonly string[]
}

interface Going {
  readonly name: string
  readonly unit: string
  readonly digits: number
  readonly at: number | null
  readonly speed: number
  readonly range: readonly [number, number] | undefined
}

/** Nothing while it stands, or zooms only; an axis that does not say where it is ends nowhere known. */
export function holdEnd(at: Moving, limits: Limits): HoldEnd | undefined {
  const going = axes(at, limits).filter((a) => a.speed !== 0)
  const seconds = Math.min(...going.map(left))
  if (seconds === Infinity) return undefined
  return {
    seconds,
    places: going.map((a) =>
      a.at === null
        ? `${a.name} not told`
        : `${a.name} ${(a.at + a.speed * seconds).toFixed(a.digits)}${a.unit}`,
    ),
  }
}

/** How fast, of what moves: “8.0 °/s, rail 0.20 m/s”. */
export function speedWords(at: Moving): string {
  const head = Math.hypot(at.panPerSecond, at.tiltPerSecond)
  return [
    ...(head !== 0 || (at.rollPerSecond === 0 && at.railPerSecond === 0) ? [`${head.toFixed(1)} °/s`] : []),
    ...(at.rollPerSecond === 0 ? [] : [`roll ${at.rollPerSecond.toFixed(1)} °/s`]),
    ...(at.railPerSecond === 0 ? [] : [`rail ${at.railPerSecond.toFixed(2)} m/s`]),
  ].join(', ')
}

function left({ at, speed, range }: Going): number {
  if (at === null || !range) return Infinity
  return Math.max(0, ((speed > 0 ? range[1] : range[0]) - at) / speed)
}

function axes(at: Moving, limits: Limits): readonly Going[] {
  const range = (of: Limits['roll']) => of && ([of.from, of.to] as const)
  return [
    {
      name: 'pan',
      unit: '°',
      digits: 0,
      at: at.panDegrees,
      speed: at.panPerSecond,
      range: [limits.panLeft, limits.panRight],
    },
    {
      name: 'tilt',
      unit: '°',
      digits: 0,
      at: at.tiltDegrees,
      speed: at.tiltPerSecond,
      range: [limits.tiltDown, limits.tiltUp],
    },
    {
      name: 'roll',
      unit: '°',
      digits: 0,
      at: at.rollDegrees,
      speed: at.rollPerSecond,
      range: range(limits.roll) ?? undefined,
    },
    {
      name: 'rail',
      unit: ' m',
      digits: 2,
      at: at.railMetres,
      speed: at.railPerSecond,
      range: range(limits.rail) ?? undefined,
    },
  ]
}
