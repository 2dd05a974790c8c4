import { describe, expect, it } from 'vitest'
import type { DeskCamera } from '../../shared/api/types'
import { labels } from '../../shared/drawn.test.helper'
import { LensLevers } from './LensLevers'
import { stickStore } from './stickStore'

const levers = (limits: object) =>
  labels(
    <LensLevers
      stick={stickStore()}
      camera={{ limits: { roll: null, rail: null, ...limits } } as unknown as DeskCamera}
    />,
  )

describe('LensLevers', () => {
  it.each([
    ['a head', {}, 4],
    ['one that rolls', { roll: { from: -180, to: 180 } }, 6],
    ['one on a rail', { rail: { from: 0, to: 4 } }, 6],
    ['one that does both', { roll: { from: -180, to: 180 }, rail: { from: 0, to: 4 } }, 8],
  ])('of %s', (_, limits, count) => expect(levers(limits)).toHaveLength(count))

  it('are named by what stands on them first, for whoever says it aloud', () => {
    for (const label of levers({ roll: { from: 0, to: 1 }, rail: { from: 0, to: 1 } }))
      expect(label).toMatch(/^.+: .+ while held$/)
  })
})
