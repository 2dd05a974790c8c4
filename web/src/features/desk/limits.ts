import type { DeskCamera } from '../../shared/api/types'
import type { Orientation } from '../told'

/** Between which places a head points: where it can, or narrower where somebody set a limit. Degrees. */
export function limitsOf({ limits, soft }: Pick<DeskCamera, 'limits' | 'soft'>) {
  return {
    panLeft: Math.max(limits.panLeft, soft.panLeft ?? limits.panLeft),
    panRight: Math.min(limits.panRight, soft.panRight ?? limits.panRight),
    tiltDown: Math.max(limits.tiltDown, soft.tiltDown ?? limits.tiltDown),
    tiltUp: Math.min(limits.tiltUp, soft.tiltUp ?? limits.tiltUp),
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
