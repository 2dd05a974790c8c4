import type { Line, Standing } from '../../shared/api/types'

/** A line with its standings by test. */
export interface Row {
  readonly line: Line
  readonly tests: ReadonlyMap<string, Standing>
}

export function rowsOf(lines: readonly Line[], standings: readonly Standing[]): readonly Row[] {
  const byLine = new Map<number, Map<string, Standing>>()
  for (const s of standings) {
    const tests = byLine.get(s.line) ?? new Map<string, Standing>()
    tests.set(s.test, s)
    byLine.set(s.line, tests)
  }
  return lines.map((line) => ({ line, tests: byLine.get(line.id) ?? new Map<string, Standing>() }))
}

const CLOSED = new Set(['asked', 'seen', 'not-applicable'])

/** Tests that apply to the line and are neither asked nor seen. */
export const open = (row: Row, test: string) => {
  const standing = row.tests.get(test)?.standing
  return standing !== undefined && !CLOSED.has(standing)
}

/**
 * What a machine would be sent to do.
 *
 * @param onlyOpen leaves out what is proved already
 */
export function chosen(
  rows: readonly Row[],
  lines: ReadonlySet<number>,
  tests: readonly string[],
  onlyOpen: boolean,
): { readonly lines: number[]; readonly tests: string[]; readonly count: number } {
  let count = 0
  const some = new Set<string>()
  const lined = rows.filter((r) => lines.has(r.line.id))
  for (const row of lined) {
    for (const test of tests) {
      const applies = row.tests.get(test)?.standing !== 'not-applicable'
      if (onlyOpen ? open(row, test) : applies) {
        count++
        some.add(test)
      }
    }
  }
  return { lines: lined.map((r) => r.line.id), tests: tests.filter((t) => some.has(t)), count }
}
