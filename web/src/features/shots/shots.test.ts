import { describe, expect, it } from 'vitest'
import type { Job, PresetRow, ShotList } from '../../shared/api/types'
import { clockText, tenthsOf, tidyTenths } from './clock'
import { movedWords, movingEdits } from './moving'
import { found, viewsOf } from './views'

describe('the clock of a list', () => {
  it.each([
    [0, '0:00'],
    [8, '0:08'],
    [67.5, '1:07.5'],
    [59.96, '1:00'],
    [3600, '60:00'],
  ])('%s s are %s', (seconds, text) => expect(clockText(seconds)).toBe(text))

  it.each([
    ['8', 80],
    ['8 s', 80],
    ['67.5', 675],
    ['67,5', 675],
    ['1:07.5', 675],
    ['0:08', 80],
    ['1:60', undefined],
    ['soon', undefined],
    ['-3', undefined],
    ['', undefined],
  ])('"%s" are %s tenths', (typed, tenths) => expect(tenthsOf(typed)).toBe(tenths))

  it('reads back what it writes', () => {
    for (let t = 0; t < 40_000; t += 37) expect(tenthsOf(clockText(t / 10))).toBe(t)
    expect(tidyTenths('soon')).toBe('soon')
  })
})

describe('the views of a job', () => {
  const job = {
    lines: [
      { name: 'L1', cameraId: 7 },
      { name: 'L4', cameraId: 10 },
    ],
    devices: [
      { id: 7, name: 'L1' },
      { id: 10, name: 'Balcony' },
    ],
  } as unknown as Job
  const rows = [
    { device: 10, presets: [{ number: 9, called: '2-2', name: 'far end', subject: 'rings' }] },
  ] as unknown as PresetRow[]
  const views = viewsOf(job, rows)
  const labels = (typed: string) => found(views, typed).map((v) => v.label)

  it.each([
    ['', ['L1 · by hand', 'Balcony · 2-2 far end', 'Balcony · by hand']],
    ['l4 far', ['Balcony · 2-2 far end']],
    ['balc 22', ['Balcony · 2-2 far end']],
    ['l4.22', ['Balcony · 2-2 far end']],
    ['rings', ['Balcony · 2-2 far end']],
    ['hand', ['L1 · by hand', 'Balcony · by hand']],
    ['l9', []],
  ])('"%s" finds %s', (typed, expected) => expect(labels(typed)).toEqual(expected))
})

describe('takes that are moved together', () => {
  const takes = [0, 10, 12.5, 40].map((start, i) => ({ id: i + 50, number: i + 1, start }))
  const starts = (from: number, tenths: number) =>
    movingEdits(takes, from, tenths).edits.map((e) => `${e.id} ${e.before}>${e.after}`)

  it.each([
    [3, 20, ['52 125>145', '53 400>420']],
    [1, 5, ['50 0>5', '51 100>105', '52 125>130', '53 400>405']],
    [3, -25, ['52 125>100', '53 400>375']],
    [4, -274, ['53 400>126']],
    [3, -26, []],
    [1, -1, []],
    [9, 5, []],
  ])('from %d on by %d tenths', (from, tenths, expected) => expect(starts(from, tenths)).toEqual(expected))

  it('says what is in the way', () => {
    expect(movingEdits(takes, 3, -26).why).toBe('Take 3 cannot begin so early: take 2 begins at 0:10.')
    expect(movingEdits(takes, 1, -1).why).toBe('Take 1 cannot begin so early: the list begins at 0:00.')
    expect(movedWords({ takes } as unknown as ShotList, 4)).toBe('take 4')
    expect(movedWords({ takes } as unknown as ShotList, 2)).toBe('takes 2 to 4')
  })
})
