import { describe, expect, it } from 'vitest'
import type { WireFrame } from '../../shared/api/types'
import { fits, folded } from './folded'

const frame = (words: string, hex: string, device = 1): WireFrame => ({
  device,
  name: `L${device}`,
  at: '2026-11-28T10:00:00Z',
  seconds: 1,
  sent: true,
  hex,
  words,
  polling: false,
  path: '',
})

describe('folding', () => {
  const ask = (n: number) => frame('ask version', `01 10 00 05 00 00 00 0${n} 81 09 00 02 FF`)
  it.each([
    ['nothing', [], []],
    ['a run whose numbers count up', [ask(1), ask(2), ask(3)], [3]],
    ['another head between', [ask(1), frame('ask version', '81 09 00 02 FF', 2), ask(2)], [1, 1, 1]],
    ['other octets of the same words', [frame('drive', '81 01'), frame('drive', '81 02')], [1, 1]],
  ])('%s', (_, frames, times) => {
    expect(folded(frames).map((f) => f.times)).toEqual(times)
  })
})

describe('the filter', () => {
  const f = frame('drive pan 3, tilt 0', '81 01 06 01 03 01 02 03 FF')
  it.each([
    ['', 0, true],
    ['PAN 3', 0, true],
    ['0601', 0, true],
    ['06 01', 0, true],
    ['l1', 0, true],
    ['zoom', 0, false],
    ['', 2, false],
    ['pan', 1, true],
  ])('"%s" of %d', (text, device, expected) => {
    expect(fits(f, { text, device })).toBe(expected)
  })
})
