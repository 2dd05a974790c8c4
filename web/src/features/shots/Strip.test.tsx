import { describe, expect, it } from 'vitest'
import type { ShotList, ShotRun } from '../../shared/api/types'
import { drawn, labels, readable } from '../../shared/drawn.test.helper'
import { Strip } from './Strip'

const take = (number: number, device: number, start: number, until: number, late = 0) => ({
  id: number,
  number,
  device,
  camera: `L${device}`,
  subject: `view ${number}`,
  start,
  until,
  way: late > 0 ? { needed: 4.25, free: 4.25 - late, late } : null,
})
const list = (seconds: number, ...takes: readonly ReturnType<typeof take>[]) =>
  ({ seconds, takes }) as unknown as ShotList
const strip = (of: ShotList, run?: Partial<ShotRun>) => <Strip list={of} run={run as ShotRun | undefined} />

describe('Strip', () => {
  it('has a lane for each camera, in the order they come, and says it all in words', () => {
    const of = list(30, take(1, 4, 0, 10), take(2, 7, 10, 20), take(3, 4, 20, 30, 1.5))
    const html = drawn(strip(of))
    expect(html.indexOf('L4')).toBeLessThan(html.indexOf('L7'))
    expect(labels(strip(of))).toEqual(['1 L4 0:00; 2 L7 0:10; 3 L4 0:20, late'])
  })

  it('says how late, and by what', () => {
    const of = list(60, take(1, 4, 0, 10), take(2, 4, 10, 20, 1.5))
    expect(readable(strip(of))).toContain('1.5 s late')
    expect(drawn(strip(of))).toContain('L4 needs 4.3 s and has 2.8 s')
    expect(drawn(strip(of)).match(/data-late/g)).toHaveLength(1)
  })

  it.each([
    [8, '0:00 0:01 0:02 0:03 0:04 0:05 0:06 0:07'],
    [90, '0:00 0:10 0:20 0:30 0:40 0:50 1:00 1:10 1:20'],
    [600, '0:00 2:00 4:00 6:00 8:00'],
    // No more than nine, however long; none where the end would cut it.
    [9_000, '0:00 30:00 60:00 90:00 120:00'],
  ])('of %i s has ticks at %s', (seconds, ticks) => expect(readable(strip(list(seconds)))).toBe(ticks))

  it('is drawn for a list without a take', () => expect(labels(strip(list(0)))).toEqual(['']))
})
