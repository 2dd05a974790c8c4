import { describe, expect, it } from 'vitest'
import { SUMS, bodyOf, pointsOf, shown } from './sums'
import type { Sum } from './sums'

const sum = (name: string): Sum => {
  const found = SUMS.find((s) => s.name === name)
  if (!found) throw new Error(name)
  return found
}

describe('a curve', () => {
  it('goes from a hair above naught to twice the input and passes through it', () => {
    const points = pointsOf({ x: 'metres', y: 'volts' }, 30)
    expect(points[0]).toBeGreaterThan(0)
    expect(points.at(-1)).toBe(60)
    expect(points).toContain(30)
    expect([...points].sort((a, b) => a - b)).toEqual(points)
  })

  it('counts in whole steps where things are counted', () => {
    expect(pointsOf({ x: 'cameras', y: 'each', range: [1, 7] }, 3)).toEqual([1, 2, 3, 4, 5, 6, 7])
  })
})

describe('parts of a balance', () => {
  const balance = SUMS.find((s) => s.name === 'balance')!
  it.each([
    [
      '1200 at -18, 380 at 62',
      [
        { grams: 1200, offsetMm: -18 },
        { grams: 380, offsetMm: 62 },
      ],
    ],
    ['900 g at 4.5', [{ grams: 900, offsetMm: 4.5 }]],
    ['heavy', 'heavy'],
  ])('%s', (typed, parts) => {
    expect(bodyOf(balance, { parts: typed }).parts).toEqual(parts)
  })
})

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
