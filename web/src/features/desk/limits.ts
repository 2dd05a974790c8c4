import type { DeskCamera } from '../../shared/api/types'
import type { Orientation } from '../told'

type Range = DeskCamera['limits']['roll']

function narrower(range: Range, from: number | null, to: number | null): Range {
  return range && { from: Math.max(range.from, from ?? range.from), to: Math.min(range.to, to ?? range.to) }
}

/** Between which places a head goes: where it can, or narrower where somebody set a limit. Degrees; metres of a rail. */
export function limitsOf({ limits, soft }: Pick<DeskCamera, 'limits' | 'soft'>) {
  return {
    panLeft: Math.max(limits.panLeft, soft.panLeft ?? limits.panLeft),
    panRight: Math.min(limits.panRight, soft.panRight ?? limits.panRight),
    tiltDown: Math.max(limits.tiltDown, soft.tiltDown ?? limits.tiltDown),
    tiltUp: Math.min(limits.tiltUp, soft.tiltUp ?? limits.tiltUp),
    roll: narrower(limits.roll, soft.rollLeft, soft.rollRight),
    rail: narrower(limits.rail, soft.railFrom, soft.railTo),
  }
}

/** As it stands now: one that turns an axis round itself counts from there, its limits too. */
export function turnedRound<C extends Pick<DeskCamera, 'limits'>>(
  camera: C,
  { pan, tilt }: Pick<Orientation, 'pan' | 'tilt'>,
): C {
  const { panLeft, panRight, tiltDown, tiltUp } = camera.limits
  return {
    ...camera,
    limits: {
      ...camera.limits,
      ...(pan ? { panLeft: -panRight, panRight: -panLeft } : {}),
      ...(tilt ? { tiltDown: -tiltUp, tiltUp: -tiltDown } : {}),
    },
  }
}
