import { describe, expect, it } from 'vitest'
import type { Stick } from './messages'
import { CENTRE, STICK_AXES, added, centred } from './messages'

describe('pushes together', () => {
  it.each<readonly [string, readonly Partial<Stick>[], Partial<Stick>]>([
    ['none', [], {}],
    ['of one hand', [{ pan: 0.5, roll: -1 }], { pan: 0.5, roll: -1 }],
    ['of two hands', [{ pan: 0.5 }, { pan: -0.25, rail: 1 }], { pan: 0.25, rail: 1 }],
    ['that meet', [{ tilt: 1 }, { tilt: -1 }], {}],
    ['beyond the end', [{ zoom: 0.75 }, { zoom: 0.75 }], { zoom: 1 }],
    ['beyond the other end', [{ focus: -1 }, { focus: -1 }], { focus: -1 }],
  ])('%s', (_, parts, all) => {
    expect(added(parts)).toEqual({ ...CENTRE, ...all })
  })

  it('is centred only where every axis is', () => {
    expect(centred(CENTRE)).toBe(true)
    for (const axis of STICK_AXES) expect(centred({ ...CENTRE, [axis]: 0.01 })).toBe(false)
  })
})
