import type { DeskCamera } from '../../shared/api/types'

/** Between which places a head points: where it can, or narrower where somebody set a limit. Degrees. */
export function limitsOf({ limits, soft }: Pick<DeskCamera, 'limits' | 'soft'>) {
  return {
    panLeft: Math.max(limits.panLeft, soft.panLeft ?? limits.panLeft),
    panRight: Math.min(limits.panRight, soft.panRight ?? limits.panRight),
    tiltDown: Math.max(limits.tiltDown, soft.tiltDown ?? limits.tiltDown),
    tiltUp: Math.min(limits.tiltUp, soft.tiltUp ?? limits.tiltUp),
  }
}
