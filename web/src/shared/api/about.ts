import type { Finding } from './types'

/** Findings of some disciplines, in their order. */
export const about = (findings: readonly Finding[], disciplines: readonly string[]): readonly Finding[] =>
  findings.filter((f) => disciplines.includes(f.discipline))
