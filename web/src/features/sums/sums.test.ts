import { describe, expect, it } from 'vitest'
import { SUMS, bodyOf, shown } from './sums'
import type { Sum } from './sums'

const sum = (name: string): Sum => {
  const found = SUMS.find((s) => s.name === name)
  if (!found) throw new Error(name)
  return found
}

describe('what goes in', () => {
  it.each([
    ['poe-run', {}, { watts: 25.5, metres: 60, gauge: 24, pairs: 2, copperClad: false }],
    ['poe-run', { metres: '12,5', copperClad: 'true' }, { metres: 12.5, copperClad: true }],
    ['coax', { cable: 'RG59' }, { cable: 'RG59', format: '1080p50' }],
    ['dc-run', { watts: 'ten' }, { watts: 'ten' }],
  ])('%s with %j', (name, typed, part) => {
    expect(bodyOf(sum(name), typed as Record<string, string>)).toMatchObject(part)
  })

  it('leaves out what was cleared, so that the default holds', () => {
    expect(bodyOf(sum('late'), { accelDegPerSecond2: ' ' })).not.toHaveProperty('accelDegPerSecond2')
  })
})

describe('what comes out', () => {
  it.each([
    [45.1267, '45.13 V'],
    [null, 'none'],
  ])('%j is read as %s', (value, text) => {
    expect(shown({ key: 'x', words: 'x', unit: 'V', digits: 2 }, value)).toBe(text)
  })

  it('keeps texts as they are', () => {
    expect(shown({ key: 'x', words: 'x', unit: '', digits: 0 }, '10.44.8.0')).toBe('10.44.8.0')
  })
})
