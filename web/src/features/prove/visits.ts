import type { LeftVisit } from '../../shared/api/types'
import { headOf } from './words'

/** Where somebody goes, as the list says it. */
export function visitWords({ where, place, ladder }: Pick<LeftVisit, 'where' | 'place' | 'ladder'>): string {
  if (where === 'machine') return 'By machine, from here'
  if (where === 'desk') return 'Here, by the picture'
  return ladder ? `At ${place}, overhead: a ladder, and somebody who holds it` : `At ${place}`
}

/** The tests of a visit, each with its lines, in the order in which they first come. */
export function byTest(visit: Pick<LeftVisit, 'tests'>) {
  const all = new Map<string, LeftVisit['tests']>()
  for (const t of visit.tests) all.set(t.test, [...(all.get(t.test) ?? []), t])
  return [...all].map(([test, lines]) => ({ test, head: headOf(test), lines }))
}

/** “4 s (the middle of 12 taken here)”; without any the usual time. */
export function timeWords(seconds: number, from: number): string {
  return from === 0 ? `${seconds} s as usual` : `${seconds} s (the middle of ${from} taken here)`
}
