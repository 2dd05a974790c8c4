import type { Job } from '../shared/api/types'
import { always, stagesOf } from './stages'

/** Somewhere the jump box leads. */
export interface Place {
  readonly name: string
  readonly what: string
  readonly to: string
  /** What it is found by, in lower case. */
  readonly words: string
}

/** Every device, key, finding and page of a job. */
export function placesOf(job: Job): readonly Place[] {
  const root = `/jobs/${job.id}`
  const place = (name: string, what: string, to: string, ...words: string[]): Place => ({
    name,
    what,
    to: `${root}/${to}`,
    words: [name, what, ...words].join(' ').toLowerCase(),
  })
  return [
    ...job.devices.map((d) =>
      place(
        d.name,
        [d.profile, d.address].filter(Boolean).join(', '),
        `addresses#device-${d.id}`,
        d.mac,
        d.found,
        d.factoryAddress,
      ),
    ),
    ...job.lines.flatMap((l) =>
      l.key ? [place(`Key ${l.key.number}`, `${l.name} on ${l.key.device}`, `#line-${l.id}`)] : [],
    ),
    ...job.findings.map((f) => place(f.code, f.what, `addresses#finding-${f.code}`, f.severity)),
    ...[...stagesOf(job), ...always].map((s) => place(s.name, 'page', s.path)),
  ]
}

const MOST = 12

/**
 * The places that a few letters mean: every word must be found; names that begin with the text first,
 * whole addresses before longer ones that begin alike.
 */
export function found(places: readonly Place[], text: string): readonly Place[] {
  const wanted = text.trim().toLowerCase()
  const parts = wanted.split(/\s+/).filter((p) => p !== '')
  const rank = (p: Place) => {
    if (p.words.split(/[\s,]+/).includes(wanted)) return 0
    return p.name.toLowerCase().startsWith(wanted) ? 1 : 2
  }
  return places
    .filter((p) => parts.every((part) => p.words.includes(part)))
    .map((p, i) => ({ p, i, r: rank(p) }))
    .sort((a, b) => a.r - b.r || a.i - b.i)
    .slice(0, MOST)
    .map((x) => x.p)
}
