import { describe, expect, it } from 'vitest'
import { bits, dotted } from './address'
import { duration } from './duration'

describe('duration', () => {
  it.each([
    [0, '0 s'],
    [44.2, '45 s'],
    [60, '1 min'],
    [125, '2 min 5 s'],
    [3840, '1 h 4 min'],
    [-3, '0 s'],
  ])('%s seconds are "%s"', (seconds, words) => expect(duration(seconds)).toBe(words))
})

describe('bits', () => {
  it.each([
    ['0.0.0.0', 0],
    ['10.44.8.21', 0x0a2c0815],
    ['255.255.255.255', 0xffffffff],
    ['10.44.8', undefined],
    ['10.44.8.256', undefined],
    ['house', undefined],
  ])('%s is %s', (address, expected) => expect(bits(address)).toBe(expected))
})

describe('dotted', () => {
  it.each(['0.0.0.0', '10.44.8.21', '192.168.77.250', '255.255.255.255'])('%s and back', (address) =>
    expect(dotted(bits(address) ?? -1)).toBe(address),
  )
})
