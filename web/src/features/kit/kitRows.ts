import type { Device } from '../../shared/api/types'
import { fits } from './howMany'

/** What the kit can be sorted by. */
export type SortBy = 'name' | 'profile' | 'mac' | 'serialNumber' | 'firmware' | 'condition'

const compare = new Intl.Collator('en', { numeric: true }).compare

/** The devices in which every word stands, in the order asked for; else in the order they came. */
export function kitRows(
  devices: readonly Device[],
  wanted: string,
  sort?: { readonly by: SortBy; readonly down: boolean },
): readonly Device[] {
  const words = wanted.toLowerCase().split(/\s+/).filter(Boolean)
  const found =
    words.length === 0
      ? devices
      : devices.filter((d) =>
          fits(words, `${d.name} ${d.profile} ${d.mac} ${d.serialNumber} ${d.firmware} ${d.condition}`),
        )
  if (!sort) return found
  const sign = sort.down ? -1 : 1
  return [...found].sort((a, b) => sign * compare(a[sort.by], b[sort.by]))
}

/** Adds or takes out one, or everything up to it from where the last choice was made. */
export function chosen(
  rows: readonly Device[],
  now: ReadonlySet<number>,
  id: number,
  upToLast: number | undefined,
): ReadonlySet<number> {
  const next = new Set(now)
  const from = rows.findIndex((d) => d.id === upToLast)
  const to = rows.findIndex((d) => d.id === id)
  if (upToLast !== undefined && from >= 0 && to >= 0) {
    rows.slice(Math.min(from, to), Math.max(from, to) + 1).forEach((d) => next.add(d.id))
  } else if (!next.delete(id)) next.add(id)
  return next
}
