import { describe, expect, it } from 'vitest'
import type { Job, Subnet } from '../../shared/api/types'
import { notOurs } from './notOurs'

const subnet = { network: '10.44.8.0', hosts: 254, laptopHome: '10.44.8.60' } as Subnet

const range = (use: string, first: string, last: string, holder = '') => ({ id: 1, use, first, last, holder })

const job = (ranges: Job['ranges'], devices: readonly object[] = []) =>
  ({ ranges, devices }) as unknown as Job

const laptop = { first: 60, last: 60, what: 'the technician’s laptop', label: '10.44.8.60 to 10.44.8.60' }

describe('what the house has in a network', () => {
  it.each([
    ['pool', '10.44.8.100', '10.44.8.199', 'pools', 'DHCP pool'],
    ['reserved', '10.44.8.240', '10.44.8.250', 'kept', 'kept back'],
    ['taken', '10.44.8.5', '10.44.8.5', 'taken', 'the till'],
  ] as const)('a %s range is drawn as such', (use, first, last, list, what) => {
    const shown = notOurs(job([range(use, first, last, 'the till')]), subnet)
    expect(shown[list][0]).toEqual({
      first: Number(first.split('.')[3]),
      last: Number(last.split('.')[3]),
      what,
      label: `${first} to ${last}`,
    })
    expect([...shown.pools, ...shown.kept, ...shown.taken]).toHaveLength(2)
  })

  it('leaves out what lies elsewhere, and what is half elsewhere', () => {
    const ranges = [range('taken', '10.44.9.5', '10.44.9.5'), range('pool', '10.44.8.250', '10.44.9.20')]
    expect(notOurs(job(ranges), subnet)).toEqual({ pools: [], kept: [], taken: [laptop] })
  })

  it.each([
    ['laptop', '10.44.8.60', 0],
    ['laptop', '10.44.8.61', 1],
    ['ptz-camera', '10.44.8.60', 1],
  ])('a %s at %s: the laptop is drawn %i times', (sort, address, times) => {
    expect(notOurs(job([], [{ sort, address }]), subnet).taken).toHaveLength(times)
  })
})
