import { describe, expect, it } from 'vitest'
import type { BringUp } from '../../shared/api/types'
import { readable } from '../../shared/drawn.test.helper'
import { forgetting, goingBack, taking } from './laptopCommands'
import { LaptopCard } from './LaptopCard'

const ADDRESS = '10.44.8.250'
const PREFIXED = '10.44.8.250/24'
const MASK = '255.255.255.0'

describe('commands for the laptop', () => {
  it.each([false, true])('name the address on each of three systems (one more: %s)', (more) => {
    for (const line of taking(ADDRESS, PREFIXED, MASK, more).lines) expect(line).toContain(ADDRESS)
    expect(taking(ADDRESS, PREFIXED, MASK, more).lines).toHaveLength(3)
  })

  it('take away the one address that was added, and nothing else', () => {
    for (const line of goingBack(ADDRESS, PREFIXED, true).lines) {
      expect(line).toContain(ADDRESS)
      expect(line).not.toContain('flush')
    }
  })

  it('ask the house for a lease when there was only one', () => {
    for (const line of goingBack(ADDRESS, PREFIXED, false).lines) expect(line).toMatch(/dhc/)
  })

  it('forget one neighbour, not all', () => {
    for (const line of forgetting(ADDRESS).lines) expect(line).toContain(ADDRESS)
  })
})

describe('LaptopCard', () => {
  const laptop = (actual: string, right: boolean, also: readonly string[] = []) =>
    ({ wanted: PREFIXED, wantedMask: MASK, actual, right, also }) as unknown as BringUp['laptop']
  it.each([
    [laptop('', false), 'must be on 10.44.8.250/24 where it is, is not known'],
    [laptop('192.168.0.5/24', false), 'is on 192.168.0.5/24 ✗ not yet'],
    [laptop(PREFIXED, true), 'is on 10.44.8.250/24 ✓ right'],
    [laptop(PREFIXED, true, ['192.168.0.5/24']), 'and has beside it 192.168.0.5/24'],
  ])('says where it must be and where it is', (where, words) =>
    expect(readable(<LaptopCard laptop={where} more={false} />)).toContain(words),
  )
})
