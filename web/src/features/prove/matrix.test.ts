import { describe, expect, it } from 'vitest'
import type { Line, Standing } from '../../shared/api/types'
import { age } from '../../shared/ui/age'
import { chosen, rowsOf } from './matrix'
import { byTest, timeWords, visitWords } from './visits'

const lines = [1, 2].map((id) => ({ id, name: `L${id}` }) as Line)
const standing = (line: number, test: string, word: string) => ({ line, test, standing: word }) as Standing
const rows = rowsOf(lines, [
  standing(1, 'moves', 'asked'),
  standing(1, 'zoom', 'open'),
  standing(2, 'moves', 'stale'),
  standing(2, 'zoom', 'not-applicable'),
])

describe('chosen', () => {
  it.each([
    [[1, 2], ['moves', 'zoom'], false, 3, 'moves zoom'],
    [[1, 2], ['moves', 'zoom'], true, 2, 'moves zoom'],
    [[1], ['moves'], true, 0, ''],
    [[2], ['zoom'], false, 0, ''],
    [[], ['moves'], false, 0, ''],
  ] as const)('lines %j, tests %j, only open %j: %i tests', (of, tests, onlyOpen, count, words) => {
    const run = chosen(rows, new Set(of), tests, onlyOpen)
    expect([run.count, run.tests.join(' ')]).toEqual([count, words])
  })
})

describe('age', () => {
  const now = Date.parse('2026-05-04T12:00:00Z')
  it.each([
    ['2026-05-04T11:59:30Z', 'just now'],
    ['2026-05-04T11:40:00Z', '20 min ago'],
    ['2026-05-04T09:00:00Z', '3 h ago'],
    ['2026-05-01T12:00:00Z', '3 d ago'],
  ])('%s was %s', (at, words) => expect(age(at, now)).toBe(words))
})

describe('what is left', () => {
  it.each([
    ['machine', '', false, 'By machine, from here'],
    ['desk', '', false, 'Here, by the picture'],
    ['controller', 'IP stick', false, 'At IP stick'],
    ['camera', 'L8 head', true, 'At L8 head, overhead: a ladder, and somebody who holds it'],
  ])('at %s %s reads as a place', (where, place, ladder, words) => {
    expect(visitWords({ where, place, ladder })).toBe(words)
  })

  it('is told test by test, each line once', () => {
    const left = (line: number, test: string) => ({ line, name: `L${line}`, test })
    const told = byTest({ tests: [left(1, 'key'), left(1, 'input'), left(2, 'key')] })
    expect(told.map((t) => [t.head, t.lines.map((l) => l.name).join(' ')])).toEqual([
      ['Key', 'L1 L2'],
      ['Input', 'L1'],
    ])
  })
})

describe('how long a test takes', () => {
  it.each([
    [5, 0, '5 s as usual'],
    [4, 12, '4 s (the middle of 12 taken here)'],
  ])('%s s from %s', (seconds, from, words) => {
    expect(timeWords(seconds, from)).toBe(words)
  })
})
