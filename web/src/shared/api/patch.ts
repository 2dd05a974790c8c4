import type { Job, JobPatch } from './types'

/** How a list became another: rows out by their keys, then rows in at their places, in ascending order. */
export interface RowsPatch<T> {
  readonly gone: readonly string[]
  readonly put: readonly { readonly at: number; readonly row: T }[]
}

/** Rows that stay are the same objects as before, so that nothing of them is drawn again. */
export function patchRows<T>(
  rows: readonly T[],
  patch: RowsPatch<T> | undefined,
  key: (row: T) => string,
): T[] {
  if (!patch) return rows as T[]
  const out = new Set([...patch.gone, ...patch.put.map((p) => key(p.row))])
  const kept = rows.filter((r) => !out.has(key(r)))
  const next: T[] = []
  let at = 0
  for (const { at: place, row } of patch.put) {
    const until = at + place - next.length
    next.push(...kept.slice(at, until), row)
    at = until
  }
  next.push(...kept.slice(at))
  return next
}

const byId = (row: { readonly id: number }) => String(row.id)

/** The job a patch leads to, from one at the version that the patch starts from. */
export function patchJob(job: Job, patch: JobPatch): Job {
  const subnets = patch.subnets ?? job.subnets
  return {
    ...job,
    version: patch.version,
    observed: patch.observed,
    role: patch.role,
    undo: patch.undo,
    redo: patch.redo,
    lastLog: patch.lastLog,
    name: patch.name ?? job.name,
    site: patch.site ?? job.site,
    subnets,
    subnet: subnets[0] ?? job.subnet,
    ranges: patchRows(job.ranges, patch.ranges, byId),
    ownProfiles: patch.ownProfiles ?? job.ownProfiles,
    devices: patchRows(job.devices, patch.devices, byId),
    lines: patchRows(job.lines, patch.lines, byId),
    runs: patchRows(job.runs, patch.runs, byId),
    findings: patchRows(job.findings, patch.findings, (f) => f.key),
  }
}
