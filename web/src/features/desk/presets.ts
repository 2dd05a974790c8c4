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

type Numbering = Pick<PresetRow, 'namedBy' | 'first' | 'bankOf' | 'reach'>

/** What a number is called by the controller that names them; what the camera calls it where that has no key. */
export function called(row: Numbering, number: number): string {
  if (row.namedBy !== '' && number >= row.reach) return `no key (${number})`
  if (row.bankOf === null) return String(number + row.first)
  return `${1 + Math.floor(number / row.bankOf)}-${(number % row.bankOf) + row.first}`
}

/** What is typed for each number: its name without its stroke, unless two would be typed alike. */
export function typedFor(row: Numbering, numbers: readonly number[]): ReadonlyMap<number, string> {
  const short = numbers.map((n) => [n, called(row, n).replace(/\D/g, '')] as const)
  const clear = new Set(short.map(([, typed]) => typed)).size === short.length
  return new Map(clear ? short : numbers.map((n) => [n, String(n + row.first)]))
}

/** From which to which name it goes, in a few words. */
export function namesWords(row: Numbering & Pick<PresetRow, 'count'>): string {
  const last = row.namedBy === '' ? row.count : row.reach
  const range = `${called(row, 0)} to ${called(row, last - 1)}`
  return row.namedBy === '' ? `${range} as the camera counts` : `${range} as ${row.namedBy} calls them`
}

/** What comes back and what does not, in a few words. */
export function holdsWords({ stored, lost, at }: Pick<Preset, 'stored' | 'lost' | 'at'>): string {
  if (at === '') return 'noted, not stored in it yet'
  return stored.join(', ') + (lost.length > 0 ? `; not ${lost.map((l) => l.part).join(', ')}` : '')
}
