import { describe, expect, it } from 'vitest'
import { only } from './cableWords'
import { hundredths, money } from './money'
import { runsInOrder } from './runOrder'

describe('prices', () => {
  it.each([
    ['1.20', '120'],
    ['1,2', '120'],
    ['0.05', '5'],
    ['12', '1200'],
    [' 3.99 ', '399'],
    ['cheap', 'cheap'],
    ['1.234', '1.234'],
    ['-1', '-1'],
  ])('%s is stored as %s', (typed, stored) => {
    expect(hundredths(typed)).toBe(stored)
  })

  it.each([0, 5, 120, 43428])('%i comes back as it was', (value) => {
    expect(hundredths(money(value))).toBe(String(value))
  })
})

describe('runs of a drawing', () => {
  it('are each there once, in the order they are drawn', () => {
    expect(
      runsInOrder([{ run: null }, { run: 7 }, { run: 7 }, { run: 3 }, { run: null }, { run: 7 }]),
    ).toEqual([7, 3])
  })
})

describe('words to choose from', () => {
  it('are only those that may be, in their order', () => {
    expect(only({ a: 'A', b: 'B' }, ['b', 'x'])).toEqual({ b: 'B', x: 'x' })
  })
})
