import { describe, expect, it } from 'vitest'
import type { SumLine } from '../../shared/api/types'
import { labels, readable } from '../../shared/drawn.test.helper'
import { SumSteps } from './SumSteps'

const step = (what: string, result: string, works: boolean): SumLine => ({
  what,
  sum: '24 W + 13 W',
  result,
  source: 'IEEE 802.3',
  works,
})

describe('SumSteps', () => {
  const element = <SumSteps sums={[step('Load', '37 W', true), step('Left', '-7 W', false)]} label="PoE" />

  it('shows what, how, the rule and the figure of each step, in order', () =>
    expect(readable(element)).toBe('Load 24 W + 13 W IEEE 802.3 37 W Left 24 W + 13 W IEEE 802.3 ▲ -7 W'))

  it('has a name', () => expect(labels(element)).toEqual(['PoE']))
})
