import { describe, expect, it } from 'vitest'
import { about, ofDevice, sameFix } from './about'
import type { Finding, Fix } from './types'

const fix = (id: number): Fix => ({
  label: 'Move',
  changes: { adds: [], edits: [], removes: [{ item: 'run', id }] },
})

const finding = (key: string, discipline: string, deviceIds: number[], fixes: Fix[] = []): Finding => ({
  key,
  code: key,
  discipline,
  severity: 'stop',
  what: '',
  why: '',
  source: '',
  deviceIds,
  field: 'address',
  fixes,
  waiver: null,
})

const all = [
  finding('A', 'addresses', [1, 2], [fix(7), fix(8)]),
  finding('B', 'power', [2, 2], [fix(8)]),
  finding('C', 'addresses', []),
]
const keys = (found: readonly Finding[]) => found.map((f) => f.key).join('')

describe('findings', () => {
  it.each([
    [['addresses'], 'AC'],
    [['power', 'addresses'], 'ABC'],
    [[], ''],
  ])('about %s are %s', (disciplines, expected) => expect(keys(about(all, disciplines))).toBe(expected))

  it.each([
    [1, 'A'],
    [2, 'AB'],
    [3, ''],
  ])('of device %i are %s, each once', (device, expected) =>
    expect(keys(ofDevice(all, device))).toBe(expected),
  )

  it.each([
    [7, 'A'],
    [8, 'AB'],
    [9, ''],
  ])('with the fix that takes run %i away are %s', (run, expected) =>
    expect(keys(sameFix(all, fix(run)))).toBe(expected),
  )

  it('are indexed anew for another list', () => {
    expect(keys(ofDevice([finding('D', 'kit', [1])], 1))).toBe('D')
    expect(keys(ofDevice(all, 1))).toBe('A')
  })
})
