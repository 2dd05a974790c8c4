import type { Desk, DeskCamera, Job, ToldView } from '../../shared/api/types'

/** A camera of the job without a head: its key is there, and says what can be done to it all the same. */
export interface Headless {
  readonly id: number
  readonly number: number
  readonly key: string
  readonly name: string
}

/** What has a key on the desk. */
export type Keyed = DeskCamera | Headless

export const hasHead = (camera: Keyed): camera is DeskCamera => 'tells' in camera

/** Lines whose camera has no head, in the order of their numbers. */
export function headless(job: Pick<Job, 'lines'>, desk: Pick<Desk, 'cameras'>): readonly Headless[] {
  const heads = new Set(desk.cameras.map((c) => c.id))
  return job.lines
    .filter((l) => !heads.has(l.cameraId))
    .map((l) => ({ id: l.cameraId, number: l.number, key: l.name.replace(/^L/, ''), name: l.name }))
}

/** All that has a key, by number. */
export const keyed = (cameras: readonly DeskCamera[], others: readonly Headless[]): readonly Keyed[] =>
  [...cameras, ...others].sort((a, b) => a.number - b.number)

/** What of a camera is done from afar, in the order of a hand; what it is told by knobs as far as there is a way. */
export function canWords(camera: Keyed, told: ToldView | undefined): string {
  const has = (name: string) => told?.knobs.some((k) => k.name === name && k.in !== '') ?? false
  const drives = hasHead(camera) && camera.cannot === ''
  const paint = told?.knobs.some((k) => k.use === 'paint' && k.name !== 'iris' && k.in !== '') ?? false
  const can = [
    ...(drives ? ['pan and tilt'] : []),
    ...(drives || has('zoom') ? ['zoom'] : []),
    ...(drives || has('focus') ? ['focus'] : []),
    ...(has('iris') ? ['iris'] : []),
    ...(paint ? ['paint'] : []),
  ]
  if (can.length === 0) return 'nothing from here'
  return can.length === 1 ? `${can[0]} only` : can.join(', ')
}
