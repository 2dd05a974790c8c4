import { stepped } from './toldHand'
import { describe, expect, it } from 'vitest'
import type { Knob } from '../../shared/api/types'
import type { Readings } from './knobs'
import { menuShows } from './menu'
import { orientation } from './orientation'
import { effectWords, held, keptBy, nothingRead, turned, valueWords } from './knobs'

const knob = (name: string, more: Partial<Knob> = {}): Knob => ({
  name,
  use: 'paint',
  least: -10,
  most: 10,
  neutral: 0,
  unit: 'dB',
  effect: 0.05,
  readable: true,
  does: 'sets',
  choices: [],
  only: [],
  in: 'VISCA',
  ...more,
})

const mode = knob('white balance', {
  choices: [
    { name: 'auto', value: 0, turns: '' },
    { name: 'manual', value: 5, turns: '' },
  ],
})
const red = knob('red gain', { only: [{ knob: 'white balance', in: ['manual'] }] })

describe('a knob', () => {
  it.each([
    [0, 'white balance is auto: set it to manual'],
    [5, ''],
    [undefined, ''],
  ])('at white balance %s is kept by "%s"', (value, words) => {
    const read: Readings = value === undefined ? {} : { 'white balance': { value, trouble: '', code: '' } }
    expect(keptBy(red, [mode, red], read)).toBe(words)
  })

  it.each([
    [10, '+0.5 dB'],
    [-4, '-0.2 dB'],
    [0, 'neutral'],
  ])('at %s has the effect %s', (value, words) => {
    expect(effectWords(red, value)).toBe(words)
  })

  it('says what a step does where there is no neutral place', () => {
    expect(effectWords(knob('iris', { neutral: null, unit: 'stops', effect: -0.5 }), 3)).toBe(
      '-0.5 stops a step',
    )
  })

  it('says a choice by its name and stays within its ends', () => {
    expect(valueWords(mode, 5)).toBe('manual')
    expect(valueWords(red, 5)).toBe('5')
    expect([held(red, 99), held(red, -99), held(red, 1.4)]).toEqual([10, -10, 1])
  })
})

describe('nothing read', () => {
  const silent = { value: null, trouble: 'L1 does not answer', code: 'silent' }
  const read = { value: 3, trouble: '', code: '' }
  it.each([
    ['of a camera that is being read', {}, undefined],
    ['where one knob was read', { gain: silent, iris: read }, undefined],
    ['where none was', { gain: silent, iris: silent }, silent],
  ])('%s', (_, readings: Readings, trouble) => {
    expect(nothingRead(readings)).toBe(trouble)
  })
})

describe('the menu in a picture', () => {
  const menu = knob('menu', {
    choices: [
      { name: 'on', value: 2, turns: '' },
      { name: 'off', value: 3, turns: '' },
    ],
  })
  const up = { name: 'menu up', does: 'sets', grave: false, approved: true, only: [], in: 'VISCA' }
  const reads = (value: number | null) => ({ menu: { value, trouble: '', code: '' } })
  it.each([
    ['shows', [up], reads(2), true],
    ['is off', [up], reads(3), false],
    ['was not read', [up], reads(null), false],
    ['cannot be gone through', [], reads(2), false],
  ])('%s', (_, verbs, read, shows) => {
    expect(menuShows({ knobs: [menu], verbs }, read)).toBe(shows)
  })
})

describe('turns', () => {
  const turn = (before: number, after: number, name = 'iris') => ({
    device: 1,
    camera: 'L1',
    knob: name,
    before,
    after,
  })
  it.each([
    ['a first one', [], turn(1, 2), false, [turn(1, 2)]],
    ['one that goes on', [turn(1, 2)], turn(2, 3), true, [turn(1, 3)]],
    ['another after a rest', [turn(1, 2)], turn(2, 3), false, [turn(1, 2), turn(2, 3)]],
    ['another knob', [turn(1, 2)], turn(2, 3, 'gain'), true, [turn(1, 2), turn(2, 3, 'gain')]],
    ['one to where it was', [turn(1, 2)], turn(2, 2), false, [turn(1, 2)]],
  ])('%s', (_, all, next, goesOn, expected) => {
    expect(turned(all, next, goesOn)).toEqual(expected)
  })
})

describe('a knob stepped from outside', () => {
  const choices = [2, 5, 3].map((value) => ({ name: String(value), value, turns: '' }))
  it.each([
    ['one up', [], 3, 1, 4],
    ['by a part of a step', [], 3, 0.25, 3.25],
    ['not beyond its end', [], 9.8, 1, 10],
    ['to the next choice', choices, 5, 1, 3],
    ['to the choice before, however far', choices, 5, -7, 2],
    ['not beyond the last choice', choices, 3, 1, 3],
  ])('goes %s', (_, of, at, by, to) => {
    expect(stepped({ choices: of, least: 0, most: 10 }, at, by)).toBe(to)
  })
})

describe('how a camera hangs', () => {
  const mounting = (turns: string) =>
    ({
      name: 'L1 head',
      knobs: [
        knob('mounting', {
          choices: [
            { name: 'ceiling', value: 0, turns: '' },
            { name: 'table', value: 1, turns },
          ],
        }),
      ],
    }) as unknown as Parameters<typeof orientation>[0]
  const read = (value: number | null) => ({ mounting: { value, trouble: '', code: '' } })
  it.each([
    ['both', 1, true, true, 'mounting is table, so it turns pan and tilt round itself.'],
    ['pan', 1, true, false, 'so it turns pan round itself.'],
    ['tilt', 1, false, true, 'so it turns tilt round itself.'],
    ['both', 0, false, false, 'mounting is ceiling, so it turns nothing round.'],
    ['both', null, false, false, 'What the mounting of L1 head stands at was not read.'],
  ])('with %s at %s turns pan %s and tilt %s', (turns, value, pan, tilt, words) => {
    const seen = orientation(mounting(turns), read(value))
    expect([seen.pan, seen.tilt]).toEqual([pan, tilt])
    expect(seen.words).toContain(words)
  })

  it('is not said of a camera that cannot be asked', () => {
    expect(orientation(mounting(''), read(1)).words).toBe('')
    expect(orientation(undefined).words).toBe('')
  })
})
