import { bits } from '../../shared/format/address'
import type { Subnet } from '../../shared/api/types'

/** What part of the subnet the ruler shows: host numbers from first to last, both included. */
export interface Window {
  readonly first: number
  readonly last: number
}

export function wholeOf(subnet: Subnet): Window {
  return { first: 0, last: subnet.hosts + 1 }
}

/** Host number of an address within the subnet; undefined when it is not in it. */
export function hostNumber(subnet: Subnet, address: string): number | undefined {
  const host = bits(address)
  const base = bits(subnet.network)
  if (host === undefined || base === undefined) return undefined
  const number = host - base
  return number >= 0 && number <= subnet.hosts + 1 ? number : undefined
}

/** The window zoomed by a factor round its middle, within the subnet, down to a single host. */
export function zoomed(window: Window, factor: number, subnet: Subnet): Window {
  const whole = wholeOf(subnet)
  const size = window.last - window.first + 1
  const next = Math.min(whole.last + 1, Math.max(1, Math.round(size * factor)))
  const middle = (window.first + window.last + 1) / 2
  return moved({ first: 0, last: next - 1 }, Math.round(middle - next / 2), subnet)
}

/** The window shifted by a number of hosts, stopped at the subnet's ends. */
export function moved(window: Window, by: number, subnet: Subnet): Window {
  const whole = wholeOf(subnet)
  const size = window.last - window.first
  const first = Math.max(0, Math.min(whole.last - size, window.first + by))
  return { first, last: first + size }
}

/** A round step that gives about eight marks. */
export function tickStep(window: Window): number {
  const rough = (window.last - window.first + 1) / 8
  const power = 10 ** Math.floor(Math.log10(Math.max(1, rough)))
  return [1, 2, 5, 10].map((f) => f * power).find((s) => s >= rough) ?? power * 10
}

/** Marks closer than this share one name. */
const NEIGHBOURS = 12

/** A mark on the ruler, or several side by side under one name. */
export interface Labelled {
  readonly x: number
  readonly name: string
}

/** "L1–L3" for neighbours whose names would stand on top of each other; sorted by place. */
export function labels(marks: readonly Labelled[]): Labelled[] {
  const runs: Labelled[][] = []
  for (const mark of [...marks].sort((a, b) => a.x - b.x)) {
    const last = runs.at(-1)
    const end = last?.at(-1)
    if (last && end && mark.x - end.x < NEIGHBOURS) last.push(mark)
    else runs.push([mark])
  }
  return runs.map((run) => {
    const [first, last] = [run[0], run.at(-1)]
    return { x: first?.x ?? 0, name: runName(run.length, first?.name ?? '', last?.name ?? '') }
  })
}

function runName(length: number, first: string, last: string): string {
  if (length === 1) return first
  return length === 2 ? `${first}, ${last}` : `${first}–${last}`
}

/** Room a name takes, in drawing units a letter. */
const LETTER = 8

const LEVELS = 3

/**
 * On which height each name is written so that none runs into another; stopped ones choose first, and a
 * name that finds no room is left out (its mark and the sheet still tell).
 */
export function levels(
  names: readonly { readonly x: number; readonly name: string; readonly stopped: boolean }[],
): (number | undefined)[] {
  const taken: { level: number; from: number; to: number }[] = []
  const place = ({ x, name }: Labelled) => {
    const to = x + 6 + name.length * LETTER
    for (let level = 0; level < LEVELS; level++) {
      if (taken.every((t) => t.level !== level || t.to <= x || to <= t.from)) {
        taken.push({ level, from: x, to })
        return level
      }
    }
    return undefined
  }
  const stopped = names.map((n) => (n.stopped ? place(n) : undefined))
  return names.map((n, i) => (n.stopped ? stopped[i] : place(n)))
}
