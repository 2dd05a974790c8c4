import type { DeviceReadings, Knob, Reading, ToldView, Verb } from '../../shared/api/types'

/** What the knobs of one camera were read at, by name. */
export type Readings = Readonly<Record<string, Reading>>

/** By device. */
export type AllReadings = Readonly<Record<number, Readings>>

export const byDevice = (read: readonly DeviceReadings[]): AllReadings =>
  Object.fromEntries(read.map((r) => [r.device, r.knobs]))

/** The trouble of a camera of which nothing could be read; none while something was, or is being. */
export function nothingRead(read: Readings = {}): Reading | undefined {
  const all = Object.values(read)
  return all.every((r) => r.value === null) ? all[0] : undefined
}

/** A value with its name where it has one. */
export function valueWords(knob: Knob, value: number): string {
  return knob.choices.find((c) => c.value === value)?.name ?? String(value)
}

/** How far it is from where it changes nothing, by the profile; of one without such a place what a step does. */
export function effectWords(knob: Knob, value: number): string {
  if (typeof knob.effect !== 'number') return ''
  if (typeof knob.neutral !== 'number') return `${signed(knob.effect)} ${knob.unit} a step`
  return value === knob.neutral ? 'neutral' : `${signed(knob.effect * (value - knob.neutral))} ${knob.unit}`
}

function signed(far: number): string {
  const rounded = Math.abs(far) >= 10 ? far.toFixed(0) : far.toFixed(2).replace(/0$/, '')
  return `${far > 0 ? '+' : ''}${rounded}`
}

/** Why a knob or verb does not act now; nothing when it does, or when that cannot be told. */
export function keptBy(of: Pick<Knob | Verb, 'only'>, knobs: readonly Knob[], read: Readings): string {
  for (const c of of.only) {
    const other = knobs.find((k) => k.name === c.knob)
    const value = read[c.knob]?.value
    if (other && typeof value === 'number' && !c.in.includes(valueWords(other, value))) {
      return `${c.knob} is ${valueWords(other, value)}: set it to ${c.in.join(' or ')}`
    }
  }
  return ''
}

/** Why it cannot be turned at all; nothing when it can. */
export function cannot(knob: Pick<Knob | Verb, 'in' | 'only'>, view: ToldView, read: Readings): string {
  return knob.in === '' ? 'no way to it from here' : keptBy(knob, view.knobs, read)
}

/** A value held within the knob's ends. */
export const held = (knob: Knob, value: number): number =>
  Math.max(knob.least, Math.min(knob.most, Math.round(value)))

/** One turn that can be taken back. */
export interface Turn {
  readonly device: number
  readonly camera: string
  readonly knob: string
  readonly before: number
  readonly after: number
}

/** With one turn more; one that goes on from the last of the same knob is the same turn. */
export function turned(all: readonly Turn[], next: Turn, goesOn: boolean): readonly Turn[] {
  const last = all.at(-1)
  if (next.before === next.after) return all
  if (goesOn && last && last.device === next.device && last.knob === next.knob) {
    return [...all.slice(0, -1), { ...last, after: next.after }]
  }
  return [...all, next]
}
