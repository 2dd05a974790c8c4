import { describe, expect, it } from 'vitest'
import { patchJob, patchRows } from './patch'
import type { Job, JobPatch } from './types'

interface Row {
  readonly id: string
  readonly text: string
}
const row = (word: string): Row => ({ id: word.charAt(0), text: word })
const rows = (words: string) => (words === '' ? [] : words.split(' ').map(row))
const key = (r: Row) => r.id

describe('patchRows', () => {
  it.each([
    ['a b c', [], [], 'a b c'],
    ['a b c', ['b'], [], 'a c'],
    ['a b c', [], [[1, 'b2']], 'a b2 c'],
    ['a b c', [], [[0, 'd']], 'd a b c'],
    ['a b c', [], [[3, 'd']], 'a b c d'],
    [
      'a b c',
      ['a'],
      [
        [0, 'c'],
        [2, 'e'],
      ],
      'c b e',
    ],
    [
      '',
      [],
      [
        [0, 'a'],
        [1, 'b'],
      ],
      'a b',
    ],
    ['a b', ['a', 'b'], [], ''],
  ] as [string, string[], [number, string][], string][])(
    '%s without %j with %j is %s',
    (before, gone, put, after) => {
      const patch = { gone, put: put.map(([at, word]) => ({ at, row: row(word) })) }
      expect(patchRows(rows(before), patch, key)).toEqual(rows(after))
    },
  )

  it('leaves alone what did not change', () => {
    const before = rows('a b c')
    expect(patchRows(before, undefined, key)).toBe(before)
    expect(patchRows(before, { gone: ['a'], put: [] }, key)[0]).toBe(before[1])
  })
})

it('a patch says only what changed', () => {
  const job = {
    id: 1,
    version: 4,
    name: 'Hall',
    devices: [{ id: 7 }],
    ranges: [{ id: 3 }, { id: 4 }],
    subnets: [{ id: 2 }],
    undo: '',
  } as unknown as Job
  const ranges = { gone: ['3'], put: [{ at: 1, row: { id: 9 } }] }
  const patch = {
    id: 1,
    from: 4,
    version: 5,
    undo: 'L1: address',
    role: 'lead',
    ranges,
  } as unknown as JobPatch
  const next = patchJob(job, patch)
  expect(next).toMatchObject({ version: 5, name: 'Hall', undo: 'L1: address', role: 'lead' })
  expect(next.devices).toBe(job.devices)
  expect(next.ranges).toEqual([{ id: 4 }, { id: 9 }])
})
