import type { Point3 } from './projection'

/** A flat coloured shape of the simulated hall. */
export interface Shape {
  readonly points: readonly Point3[]
  readonly fill: string
}

const ICE = { length: 45, width: 4.75, gap: 0.6 }
const TEE = 38
const HOG = 27

/** Where the camera of a line hangs: over the home end of its sheet. */
export function mount(line: number): Point3 {
  return { x: centre(line), y: 8, z: 5.2 }
}

/** Level is looking at the far wall; the heads are hung tilted down to the ice. */
export const MOUNT_PITCH = -9

const centre = (sheet: number) => (sheet - 2.5) * (ICE.width + ICE.gap)

const flat = (x1: number, y1: number, x2: number, y2: number, z = 0): Point3[] => [
  { x: x1, y: y1, z },
  { x: x2, y: y1, z },
  { x: x2, y: y2, z },
  { x: x1, y: y2, z },
]

const upright = (x1: number, x2: number, y: number, z1: number, z2: number): Point3[] => [
  { x: x1, y, z: z1 },
  { x: x2, y, z: z1 },
  { x: x2, y, z: z2 },
  { x: x1, y, z: z2 },
]

function ring(x: number, y: number, radius: number): Point3[] {
  return Array.from({ length: 40 }, (_, i) => {
    const a = (i / 40) * 2 * Math.PI
    return { x: x + radius * Math.cos(a), y: y + radius * Math.sin(a), z: 0 }
  })
}

function sheet(number: number): Shape[] {
  const x = centre(number)
  const left = x - ICE.width / 2
  const line = (y: number, fill: string): Shape => ({
    points: flat(left, y - 0.06, left + ICE.width, y + 0.06),
    fill,
  })
  return [
    { points: flat(left, 0, left + ICE.width, ICE.length), fill: '#EAF2F4' },
    ...[6, TEE].flatMap((tee) => [
      { points: ring(x, tee, 1.83), fill: '#2F6F8F' },
      { points: ring(x, tee, 1.22), fill: '#EAF2F4' },
      { points: ring(x, tee, 0.61), fill: '#B23A2E' },
      { points: ring(x, tee, 0.15), fill: '#EAF2F4' },
    ]),
    line(HOG, '#B23A2E'),
    line(TEE, '#55606A'),
    { points: flat(x - 0.03, 2, x + 0.03, ICE.length - 2), fill: '#9AA7AE' },
  ]
}

/** A grey scale over a row of colours, standing at the hog line. */
function chart(x: number): Shape[] {
  const greys = ['#111', '#333', '#555', '#777', '#999', '#BBB', '#DDD', '#FFF']
  const colours = ['#B23A2E', '#C98A2B', '#C9C02B', '#4B8B3B', '#2F8F8F', '#2F4F8F', '#6B3A8F', '#8F5A3A']
  const w = 0.15
  const row = (fills: readonly string[], z: number) =>
    fills.map((fill, i) => ({ points: upright(x + i * w, x + (i + 1) * w, HOG, z, z + 0.5), fill }))
  return [
    { points: upright(x - 0.08, x + 8 * w + 0.08, HOG, 0, 1.62), fill: '#3B3B3B' },
    ...row(colours, 0.5),
    ...row(greys, 1.05),
  ]
}

function player(x: number, y: number, fill: string): Shape[] {
  return [
    { points: upright(x - 0.22, x + 0.22, y, 0, 0.85), fill: '#33373B' },
    { points: upright(x - 0.28, x + 0.28, y, 0.85, 1.45), fill },
    { points: upright(x - 0.12, x + 0.12, y, 1.47, 1.75), fill: '#C79A7B' },
  ]
}

const side = 14

/** The whole hall, far things first. */
export const SCENE: readonly Shape[] = [
  { points: flat(-side, -2, side, ICE.length + 3), fill: '#8C8577' },
  { points: upright(-side, side, ICE.length + 3, 0, 6), fill: '#6E7B75' },
  { points: upright(-side, side, ICE.length + 3, 3.6, 4.4), fill: '#D8CDB4' },
  ...[1, 2, 3, 4].flatMap(sheet),
  ...[1, 2, 3, 4].flatMap((n) =>
    player(centre(n) - 0.9, TEE + 2.6, ['#7A4A8C', '#3C7A5A', '#A0632A', '#3A5F9A'][n - 1] ?? '#777'),
  ),
  ...player(centre(1) + 1.4, 33, '#3C7A5A'),
  ...player(centre(3) + 0.9, 30, '#7A4A8C'),
  ...[1, 2, 3, 4].flatMap((n) => chart(centre(n) + 1)),
  ...player(centre(2) - 1.2, 22, '#A0632A'),
]
