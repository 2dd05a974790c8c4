import { describe, expect, it } from 'vitest'
import { fits, howMany } from './howMany'

describe('how many of what', () => {
  it.each([
    ['6 ceiling ptz', 6, ['ceiling', 'ptz']],
    ['6x ceiling', 6, ['ceiling']],
    ['12 × IP stick', 12, ['ip', 'stick']],
    ['ceiling 20x', 1, ['ceiling', '20x']],
    ['  poe switch ', 1, ['poe', 'switch']],
    ['6', 6, []],
    ['6 ', 6, []],
    ['', 1, []],
    ['1000 lenses', 1, ['1000', 'lenses']],
  ])('%s', (typed, count, words) => expect(howMany(typed)).toEqual({ count, words }))

  it('finds by words in any order', () => {
    expect(fits(['poe', 'ceiling'], 'Ceiling PTZ 20x, PoE')).toBe(true)
    expect(fits(['serial', 'ceiling'], 'Ceiling PTZ 20x, PoE')).toBe(false)
  })
})
