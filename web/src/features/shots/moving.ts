import type { Edit, ShotList, Take } from '../../shared/api/types'
import { clockText } from './clock'

const TENTHS = 10

/**
 * All takes from one on begin later, or earlier by a negative time; what is between them stays.
 *
 * @param tenths of a second
 */
export function movingEdits(
  takes: readonly Pick<Take, 'id' | 'number' | 'start'>[],
  from: number,
  tenths: number,
): { readonly edits: readonly Edit[]; readonly why: string } {
  const moved = takes.filter((t) => t.number >= from)
  const before = takes.filter((t) => t.number < from).at(-1)
  const first = moved[0]
  if (!first) return { edits: [], why: '' }
  const least = before ? before.start : 0
  if (Math.round(first.start * TENTHS) + tenths < Math.round(least * TENTHS)) {
    const place = before ? `take ${before.number} begins at ${clockText(least)}` : 'the list begins at 0:00'
    return { edits: [], why: `Take ${first.number} cannot begin so early: ${place}.` }
  }
  return {
    edits: moved.map((t) => {
      const start = Math.round(t.start * TENTHS)
      return { item: 'take', id: t.id, field: 'start', before: String(start), after: String(start + tenths) }
    }),
    why: '',
  }
}

/** Which takes those are, in words. */
export function movedWords(list: Pick<ShotList, 'takes'>, from: number): string {
  const last = list.takes.at(-1)?.number ?? from
  return last === from ? `take ${from}` : `takes ${from} to ${last}`
}
