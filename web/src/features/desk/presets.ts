import type { Preset, PresetRow } from '../../shared/api/types'

/** The first number that keeps nothing yet; nothing when all are taken. */
export function nextFree(row: Pick<PresetRow, 'count' | 'reserved' | 'presets'>): number | undefined {
  const taken = new Set([...row.reserved, ...row.presets.map((p) => p.number)])
  for (let number = 0; number < row.count; number++) if (!taken.has(number)) return number
  return undefined
}

/** Numbers that can be stored under, from 0. */
export function numbersOf(row: Pick<PresetRow, 'count' | 'reserved'>): readonly number[] {
  return Array.from({ length: row.count }, (_, n) => n).filter((n) => !row.reserved.includes(n))
}

/** What comes back and what does not, in a few words. */
export function holdsWords({ stored, lost, at }: Pick<Preset, 'stored' | 'lost' | 'at'>): string {
  if (at === '') return 'noted, not stored in it yet'
  return stored.join(', ') + (lost.length > 0 ? `; not ${lost.map((l) => l.part).join(', ')}` : '')
}
