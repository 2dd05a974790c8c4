// What goes over /ws/desk, as the server's DeskMessages say.

export interface Position {
  readonly type: 'position'
  readonly camera: number
  readonly panDegrees: number
  readonly tiltDegrees: number
  readonly zoom: number
  readonly angleDegrees: number
  readonly panCounts: number
  readonly tiltCounts: number
  readonly zoomCounts: number
  /** Of a head that rolls and says so; clockwise as the camera sees. */
  readonly rollDegrees: number | null
  /** Of one on a rail, from its start. */
  readonly railMetres: number | null
  /** In which the picture crosses at full deflection, by this person's feel. */
  readonly crossingSeconds: number
  /** As told now, right and up positive; 0 at rest. */
  readonly panPerSecond: number
  readonly tiltPerSecond: number
  /** Of a head that has them. */
  readonly rollPerSecond: number
  readonly railPerSecond: number
}

export interface Frame {
  readonly at: string
  readonly sent: boolean
  readonly hex: string
  readonly meaning: string
}

export interface Frames {
  readonly type: 'frames'
  /** Newest first. */
  readonly frames: readonly Frame[]
  /** So many more went before these; the wire log has them. */
  readonly leftOut: number
}

export type FromServer =
  | Position
  | { readonly type: 'taken'; readonly camera: number }
  /** A camera was not taken: none is on the stick. */
  | {
      readonly type: 'refused'
      readonly camera: number
      readonly reason: string
      readonly askable: boolean
    }
  /** Its driver was asked for it. */
  | { readonly type: 'waiting'; readonly camera: number }
  /** Somebody asks for the camera that is driven here. */
  | { readonly type: 'asked'; readonly camera: number; readonly by: string; readonly seconds: number }
  /** The camera is no longer on the stick. */
  | { readonly type: 'released'; readonly camera: number; readonly reason: string }
  /** Something did not work; what was taken stays taken. */
  | { readonly type: 'trouble'; readonly camera: number; readonly reason: string; readonly silent: boolean }
  | {
      readonly type: 'stopped'
      readonly camera: number
      readonly standing: boolean
      readonly blind: boolean
      readonly why: string
    }
  /** It was not moved: something is to be said first. */
  | { readonly type: 'needs'; readonly camera: number; readonly what: 'clear' | 'on-air' }
  | Frames

/** What a stick pushes; roll and rail do nothing at a head that has none. */
export const STICK_AXES = ['pan', 'tilt', 'zoom', 'focus', 'roll', 'rail'] as const
export type StickAxis = (typeof STICK_AXES)[number]

/** Deflections: right, up, tele, far, clockwise and onwards are positive, -1 to 1. */
export type Stick = Readonly<Record<StickAxis, number>>

export const CENTRE: Stick = { pan: 0, tilt: 0, zoom: 0, focus: 0, roll: 0, rail: 0 }

export const centred = (s: Stick) => STICK_AXES.every((axis) => s[axis] === 0)

/** All pushes together, no axis beyond its end. */
export function added(parts: readonly Partial<Stick>[]): Stick {
  const add = (axis: StickAxis) => {
    const all = parts.reduce((total, part) => total + (part[axis] ?? 0), 0)
    return Math.max(-1, Math.min(1, all))
  }
  return {
    pan: add('pan'),
    tilt: add('tilt'),
    zoom: add('zoom'),
    focus: add('focus'),
    roll: add('roll'),
    rail: add('rail'),
  }
}
