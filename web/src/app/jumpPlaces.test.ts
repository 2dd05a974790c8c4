import { describe, expect, it } from 'vitest'
import { found } from './jumpPlaces'
import type { Place } from './jumpPlaces'

const place = (name: string, what: string): Place => ({
  name,
  what,
  to: `/${name}`,
  words: `${name} ${what}`.toLowerCase(),
})

const places = [
  place('L1', 'Ceiling PTZ 20x, PoE, 10.44.8.2'),
  place('L2', 'Ceiling PTZ 20x, PoE, 10.44.8.21'),
  place('L21', 'Ceiling PTZ 20x, PoE, 10.44.8.41'),
  place('Key 2', 'L2 on IP stick'),
  place('ADDR-GAP', 'IP stick counts up and will not find L4'),
  place('Addresses', 'page'),
]

describe('the jump box', () => {
  it.each([
    ['10.44.8.2', 'L1'],
    [' 10.44.8.21 ', 'L2'],
    ['key 2', 'Key 2'],
    ['l21', 'L21'],
    ['gap', 'ADDR-GAP'],
    ['add', 'ADDR-GAP'],
    ['addresses', 'Addresses'],
    ['stick count', 'ADDR-GAP'],
  ])('%s leads to %s', (text, name) => {
    expect(found(places, text)[0]?.name).toBe(name)
  })

  it('finds nothing for what is nowhere, and everything for nothing', () => {
    expect(found(places, '10.99.0.1')).toEqual([])
    expect(found(places, '')).toHaveLength(places.length)
  })
})
