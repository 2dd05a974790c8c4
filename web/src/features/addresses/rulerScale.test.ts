import { describe, expect, it } from 'vitest'
import type { Subnet } from '../../shared/api/types'
import { hostNumber, labels, levels, moved, tickStep, wholeOf, zoomed } from './rulerScale'

const subnet = { network: '10.44.8.0', hosts: 254 } as Subnet

describe('the ruler', () => {
  it.each([
    ['10.44.8.0', 0],
    ['10.44.8.21', 21],
    ['10.44.8.255', 255],
    ['10.44.9.0', undefined],
    ['10.44.7.255', undefined],
    ['', undefined],
  ])('%s is host %s', (address, host) => expect(hostNumber(subnet, address)).toBe(host))

  it('zooms round the middle and stops at one host and at the whole subnet', () => {
    expect(zoomed({ first: 0, last: 255 }, 0.5, subnet)).toEqual({ first: 64, last: 191 })
    expect(zoomed({ first: 20, last: 35 }, 0.5, subnet)).toEqual({ first: 24, last: 31 })
    expect(zoomed({ first: 24, last: 24 }, 0.5, subnet)).toEqual({ first: 24, last: 24 })
    expect(zoomed({ first: 64, last: 191 }, 4, subnet)).toEqual(wholeOf(subnet))
  })

  it('moves no further than the ends', () => {
    expect(moved({ first: 10, last: 25 }, -50, subnet)).toEqual({ first: 0, last: 15 })
    expect(moved({ first: 10, last: 25 }, 500, subnet)).toEqual({ first: 240, last: 255 })
  })

  it.each([
    [256, 50],
    [16, 2],
    [65536, 10000],
  ])('%s hosts are ticked every %s', (size, step) =>
    expect(tickStep({ first: 0, last: size - 1 })).toBe(step),
  )

  it('gives neighbours one name', () => {
    const marks = [
      { x: 30, name: 'L2' },
      { x: 27, name: 'L1' },
      { x: 33, name: 'L3' },
      { x: 60, name: 'L4' },
      { x: 90, name: 'L5' },
      { x: 95, name: 'L7' },
    ]
    expect(labels(marks)).toEqual([
      { x: 27, name: 'L1–L3' },
      { x: 60, name: 'L4' },
      { x: 90, name: 'L5, L7' },
    ])
  })

  it('writes names that would touch on different heights', () => {
    const at = (x: number, stopped = false) => ({ x, name: 'L1', stopped })
    expect(levels([at(0), at(5), at(10), at(15), at(40)])).toEqual([0, 1, 2, undefined, 0])
    expect(levels([at(0), at(5), at(10), at(15, true)])).toEqual([1, 2, undefined, 0])
  })
})
