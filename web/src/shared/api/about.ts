import type { Finding, Fix } from './types'

/** An index that is made once for each list of findings and goes with it. */
function once<T>(make: (findings: readonly Finding[]) => T) {
  const made = new WeakMap<readonly Finding[], T>()
  return (findings: readonly Finding[]): T => {
    const known = made.get(findings)
    if (known !== undefined) return known
    const index = make(findings)
    made.set(findings, index)
    return index
  }
}

const ofDisciplines = once(() => new Map<string, readonly Finding[]>())

/** Findings of some disciplines, in their order; the same list again for the same findings. */
export function about(findings: readonly Finding[], disciplines: readonly string[]): readonly Finding[] {
  const made = ofDisciplines(findings)
  const key = disciplines.join()
  const known = made.get(key) ?? findings.filter((f) => disciplines.includes(f.discipline))
  made.set(key, known)
  return known
}

function groups<K>(findings: readonly Finding[], keysOf: (f: Finding) => Iterable<K>) {
  const index = new Map<K, Finding[]>()
  for (const f of findings)
    for (const key of new Set(keysOf(f))) {
      const group = index.get(key)
      if (group) group.push(f)
      else index.set(key, [f])
    }
  return index
}

const texts = new WeakMap<Fix, string>()

/** What a fix comes to, as one text; fixes stay while other findings come and go. */
function said(fix: Fix): string {
  const known = texts.get(fix)
  if (known !== undefined) return known
  const text = JSON.stringify(fix.changes)
  texts.set(fix, text)
  return text
}

const byDevice = once((findings) => groups(findings, (f) => f.deviceIds))
const byFix = once((findings) => groups(findings, (f) => f.fixes.map(said)))
const none: readonly Finding[] = []

/** Those that concern a device, in their order. */
export const ofDevice = (findings: readonly Finding[], device: number): readonly Finding[] =>
  byDevice(findings).get(device) ?? none

/** Those that offer the very same change: one cause, one fix. */
export const sameFix = (findings: readonly Finding[], fix: Fix): readonly Finding[] =>
  byFix(findings).get(said(fix)) ?? none
