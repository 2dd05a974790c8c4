import type { ToldView } from '../../shared/api/types'
import type { Stick, StickAxis } from './messages'
import { CENTRE, added } from './messages'

/** What an axis of a game pad can be. */
export type PadAxis = StickAxis

/** What a button of a game pad can do. */
export const ACTS = ['stop', 'hold', 'creep', 'home', 'next', 'previous', 'tele', 'wide'] as const
export type PadAct = (typeof ACTS)[number]

/** A knob or verb of whatever camera is taken, by its name in the profile. */
export type KnobByAxis = `knob:${string}`
export type ToldByButton = `up:${string}` | `down:${string}` | `verb:${string}`

export interface AxisUse {
  readonly axis: number
  readonly to: PadAxis | KnobByAxis
  readonly turned: boolean
  /** What it reads when nobody touches it. */
  readonly centre: number
  /** How far from that it strays by itself. */
  readonly dead: number
}

export interface ButtonUse {
  readonly button: number
  readonly to: PadAct | ToldByButton
}

/** How one person uses one pad. */
export interface PadMap {
  readonly axes: readonly AxisUse[]
  readonly buttons: readonly ButtonUse[]
}

/** What the browser tells of a pad. */
export interface PadState {
  readonly axes: readonly number[]
  readonly buttons: readonly { readonly pressed: boolean }[]
}

const DEAD = 0.08

/** The usual two sticks and shoulder buttons, until somebody maps it otherwise. */
export const USUAL: PadMap = {
  axes: [
    { axis: 0, to: 'pan', turned: false, centre: 0, dead: DEAD },
    { axis: 1, to: 'tilt', turned: true, centre: 0, dead: DEAD },
    { axis: 3, to: 'zoom', turned: true, centre: 0, dead: DEAD },
  ],
  buttons: [
    { button: 1, to: 'stop' },
    { button: 2, to: 'hold' },
    { button: 4, to: 'previous' },
    { button: 5, to: 'next' },
  ],
}

/** From what an axis reads to a deflection of -1 to 1: off its own centre, beyond its own dead zone. */
export function deflected(use: AxisUse, raw: number): number {
  const off = raw - use.centre
  const reach = 1 - Math.abs(use.centre) - use.dead
  const beyond = Math.abs(off) - use.dead
  if (beyond <= 0 || reach <= 0) return 0
  return Math.sign(off) * Math.min(1, beyond / reach) * (use.turned ? -1 : 1)
}

/** Where the pad pushes the stick, and what its buttons ask for. */
export function readPad(
  map: PadMap,
  pad: PadState,
): {
  readonly stick: Stick
  readonly acts: ReadonlySet<PadAct | ToldByButton>
  /** How far each knob is pushed, -1 to 1, by its name. */
  readonly turns: ReadonlyMap<string, number>
} {
  const turns = new Map<string, number>()
  const acts = new Set(map.buttons.filter((b) => pad.buttons[b.button]?.pressed).map((b) => b.to))
  const stick = { ...CENTRE }
  for (const use of map.axes) {
    const push = deflected(use, pad.axes[use.axis] ?? 0)
    if (isKnob(use.to)) turns.set(use.to.slice('knob:'.length), push)
    else stick[use.to] += push
  }
  if (acts.has('tele')) stick.zoom += 1
  if (acts.has('wide')) stick.zoom -= 1
  return {
    stick: added([stick]),
    acts,
    turns,
  }
}

export const isKnob = (to: PadAxis | KnobByAxis): to is KnobByAxis => to.startsWith('knob:')

/** What a button tells the camera; nothing for what it does at the desk. */
export function toldBy(
  act: PadAct | ToldByButton,
): { readonly name: string; readonly by: number } | undefined {
  const [kind, ...name] = act.split(':')
  if (name.length === 0) return undefined
  return { name: name.join(':'), by: kind === 'up' ? 1 : kind === 'down' ? -1 : 0 }
}

/** So far an axis must be moved to be meant. */
const MEANT = 0.5

/** The axis that was moved since, with its direction; nothing while none was moved far. */
export function movedAxis(
  before: readonly number[],
  now: readonly number[],
): { readonly axis: number; readonly turned: boolean } | undefined {
  let [axis, far] = [-1, MEANT]
  now.forEach((v, i) => {
    const by = Math.abs(v - (before[i] ?? 0))
    if (by > far) [axis, far] = [i, by]
  })
  return axis < 0 ? undefined : { axis, turned: (now[axis] ?? 0) < (before[axis] ?? 0) }
}

/** This axis is that of the stick from now on, and nothing else. */
export function withAxis(map: PadMap, to: PadAxis | KnobByAxis, axis: number, turned: boolean): PadMap {
  const old = map.axes.find((a) => a.axis === axis)
  const others = map.axes.filter((a) => a.to !== to && a.axis !== axis)
  return {
    ...map,
    axes: [...others, { axis, to, turned, centre: old?.centre ?? 0, dead: old?.dead ?? DEAD }],
  }
}

export function withButton(map: PadMap, to: PadAct | ToldByButton, button: number): PadMap {
  const others = map.buttons.filter((b) => b.to !== to && b.button !== button)
  return { ...map, buttons: [...others, { button, to }] }
}

/** What restarts, erases or powers is asked each time on the page: no button of a pad does that. */
const GRAVE = new Set(['restarts', 'erases', 'powers', 'moves'])

/** What of a camera can be put on a pad. */
export function padChoices(view: Pick<ToldView, 'knobs' | 'verbs'>): readonly (KnobByAxis | ToldByButton)[] {
  const knobs = view.knobs.filter((k) => !GRAVE.has(k.does))
  const verbs = view.verbs.filter((v) => !v.grave && !GRAVE.has(v.does))
  return [
    ...knobs.flatMap((k) => [
      ...(k.choices.length === 0 ? [`knob:${k.name}` as const] : []),
      `up:${k.name}` as const,
      `down:${k.name}` as const,
    ]),
    ...verbs.map((v) => `verb:${v.name}` as const),
  ]
}

/** That axis or button does this no longer. */
export function without(map: PadMap, to: string): PadMap {
  return {
    axes: map.axes.filter((a) => a.to !== to),
    buttons: map.buttons.filter((b) => b.to !== to),
  }
}

/** A little more than it strayed. */
const SPARE = 0.02
const LEAST_DEAD = 0.02

/**
 * Centre and dead zone of every axis, from what was read while nobody touched the pad.
 *
 * @param rest readings one after the other, each of all axes
 */
export function calibrated(map: PadMap, rest: readonly (readonly number[])[]): PadMap {
  return {
    ...map,
    axes: map.axes.map((use) => {
      const read = rest.map((axes) => axes[use.axis] ?? 0)
      if (read.length === 0) return use
      const [least, most] = [Math.min(...read), Math.max(...read)]
      return {
        ...use,
        centre: (least + most) / 2,
        dead: Math.max(LEAST_DEAD, (most - least) / 2 + SPARE),
      }
    }),
  }
}
