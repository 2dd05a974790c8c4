import { describe, expect, it } from 'vitest'
import { bits, dotted } from './address'
import { duration } from './duration'
import { day, dayAndTime, dayTyped, timeOfDay, weekday } from './moment'

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

describe('moment', () => {
  const late = new Date(2026, 10, 27, 23, 29).toISOString()
  const midnight = new Date(2026, 2, 4, 0, 5).toISOString()
  it('counts 24 hours and names the month', () => {
    expect(timeOfDay(late)).toBe('23:29')
    expect(timeOfDay(midnight)).toBe('00:05')
    expect(day(midnight)).toBe('4 Mar 2026')
    expect(weekday(late)).toMatch(/^Friday,? 27 November 2026$/)
    expect(dayAndTime(late)).toBe('27 Nov 2026, 23:29')
    expect(timeOfDay(late, '12-hour')).toBe('11:29 PM')
    expect(timeOfDay(midnight, '12-hour')).toBe('12:05 AM')
    expect(dayAndTime(late, '12-hour')).toBe('27 Nov 2026, 11:29 PM')
  })
  it.each([timeOfDay, day, weekday, dayAndTime])('is empty for none', (say) => {
    expect(say('1970-01-01T00:00:00Z')).toBe('')
    expect(say('never')).toBe('')
  })
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

describe('a day as it is typed', () => {
  it.each([
    ['27 Nov 2026', '2026-11-27'],
    ['1 march 2027', '2027-03-01'],
    [' 2026-11-27 ', '2026-11-27'],
    ['29 Feb 2028', '2028-02-29'],
    ['29 Feb 2027', undefined],
    ['31 Apr 2026', undefined],
    ['5/6/2026', undefined],
    ['2026-13-01', undefined],
    ['27 Foo 2026', undefined],
    ['', undefined],
  ])('%s is %s', (typed, expected) => expect(dayTyped(typed)).toBe(expected))
})
