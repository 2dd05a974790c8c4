import { describe, expect, it } from 'vitest'
import { Turns } from './stillTurns'
import { tallyWords } from './tallyWords'
import { nextWall, onWall } from './wall'

describe('the wall', () => {
  const cameras = Array.from({ length: 10 }, (_, i) => ({ id: 100 + i }))
  const ids = (size: 'off' | 'four' | 'all', taken: number) =>
    onWall(cameras, size, taken).map((c) => c.id - 100)

  it.each([
    ['off', 103, []],
    ['four', 0, [0, 1, 2, 3]],
    ['four', 103, [0, 1, 2, 3]],
    ['four', 104, [4, 5, 6, 7]],
    ['four', 109, [8, 9]],
    ['all', 103, [0, 1, 2, 3, 4, 5, 6, 7, 8, 9]],
  ] as const)('%s of %s shows %s', (size, taken, expected) => expect(ids(size, taken)).toEqual(expected))

  it('goes round by its key', () => {
    expect(nextWall(nextWall(nextWall('off')))).toBe('off')
  })
})

describe('turns', () => {
  it('never lets more go than there are, and forgets who left', () => {
    const turns = new Turns(2)
    const went: number[] = []
    const leave = [1, 2, 3, 4, 5].map((n) => turns.want(() => went.push(n)))
    expect(went).toEqual([1, 2])
    leave[2]?.()
    turns.giveBack()
    expect(went).toEqual([1, 2, 4])
    turns.giveBack()
    turns.giveBack()
    expect(went).toEqual([1, 2, 4, 5])
    turns.giveBack()
    turns.want(() => went.push(6))
    turns.want(() => went.push(7))
    turns.want(() => went.push(8))
    expect(went).toEqual([1, 2, 4, 5, 6, 7])
  })
})

describe('tally', () => {
  const of = (...tallies: string[]) => tallies.map((tally, i) => ({ name: `L${i + 1}`, tally }))
  it.each([
    [of('on', 'off', ''), 'L1 on air, says Mixer.'],
    [of('off', 'off', ''), 'Mixer shows no camera of this desk.'],
    [
      of('not-known', 'not-known', ''),
      'Mixer is silent: whether L1, L2 are on air is not known, which counts as on air.',
    ],
  ])('%j', (cameras, words) => expect(tallyWords('Mixer', cameras)).toBe(words))
})
