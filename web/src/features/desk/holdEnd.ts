import type { DeskCamera } from '../../shared/api/types'
import type { Position } from './messages'

/** Where a steady move ends by itself, at the limit of the head that it comes to first. */
export interface HoldEnd {
  readonly seconds: number
  readonly pan: number
  readonly tilt: number
}

/** Nothing while it stands, or zooms only. */
export function holdEnd(
  at: Pick<Position, 'panDegrees' | 'tiltDegrees' | 'panPerSecond' | 'tiltPerSecond'>,
  limits: Pick<DeskCamera['limits'], 'panLeft' | 'panRight' | 'tiltDown' | 'tiltUp'>,
): HoldEnd | undefined {
  const left = (from: number, speed: number, least: number, most: number) =>
    speed === 0 ? Infinity : Math.max(0, ((speed > 0 ? most : least) - from) / speed)
  const seconds = Math.min(
    left(at.panDegrees, at.panPerSecond, limits.panLeft, limits.panRight),
    left(at.tiltDegrees, at.tiltPerSecond, limits.tiltDown, limits.tiltUp),
  )
  if (seconds === Infinity) return undefined
  return {
    seconds,
    pan: at.panDegrees + at.panPerSecond * seconds,
    tilt: at.tiltDegrees + at.tiltPerSecond * seconds,
  }
}
