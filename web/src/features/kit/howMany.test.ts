import { describe, expect, it } from 'vitest'
import { fits, found, howMany } from './howMany'

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

  it('puts first what begins with the first word', () => {
    const shelf = ['Adapter for a shoulder camera', 'Shoulder camera', 'Dome'].map((name) => ({
      name,
      sort: 's',
      kind: 'k',
    }))
    const names = (words: string[]) => found(shelf, words).map((p) => p.name)
    expect(names(['shoulder'])).toEqual(['Shoulder camera', 'Adapter for a shoulder camera'])
    expect(names([])).toHaveLength(3)
  })

  it('finds by words in any order', () => {
    expect(fits(['poe', 'ceiling'], 'Ceiling PTZ 20x, PoE')).toBe(true)
    expect(fits(['serial', 'ceiling'], 'Ceiling PTZ 20x, PoE')).toBe(false)
  })
})
