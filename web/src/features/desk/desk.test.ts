import { linkWords, presenceWords } from './presence'
import { afterDigit, isKeyOf } from './useNumberKeys'
import { describe, expect, it } from 'vitest'
import type { DeskCamera, Preset, ToldView } from '../../shared/api/types'
import { fewOf, groupWith, groupsOf } from './CameraKeys'
import { NOTHING_YET, after } from './deskState'
import { holdEnd, speedWords } from './holdEnd'
import { turnedRound } from './limits'
import type { Position } from './messages'
import { CENTRE } from './messages'
import { positionStore } from './positions'
import { called, holdsWords, namesWords, nextFree, typedFor } from './presets'
import { deflection } from './useStickKeys'
import { canWords, hasHead, headless, keyed } from './canDo'

const AT_REST: Position = {
  type: 'position',
  camera: 5,
  panDegrees: 1,
  tiltDegrees: 0,
  zoom: 0,
  angleDegrees: 60,
  panCounts: 14,
  tiltCounts: 0,
  zoomCounts: 0,
  rollDegrees: null,
  railMetres: null,
  crossingSeconds: 5,
  panPerSecond: 0,
  tiltPerSecond: 0,
  rollPerSecond: 0,
  railPerSecond: 0,
}

describe('keys as a stick', () => {
  it.each([
    [['e'], { roll: 1 }],
    [['q', 'd'], { roll: -1, rail: 1 }],
    [['a', 'd', 'f'], { focus: 1 }],
  ])('%s push %o', (keys, pushed) => {
    expect(deflection(new Set(keys))).toEqual({ ...CENTRE, ...pushed })
  })

  it.each([
    [[], 0, 0, 0],
    [['ArrowLeft'], -1, 0, 0],
    [['ArrowLeft', 'ArrowRight'], 0, 0, 0],
    [['ArrowUp', 'ArrowRight', '+'], 1, 1, 1],
    [['-', 'ArrowDown'], 0, -1, -1],
  ])('%j', (keys, pan, tilt, zoom) =>
    expect(deflection(new Set(keys))).toEqual({ ...CENTRE, pan, tilt, zoom }),
  )
})

describe('what the desk knows', () => {
  it('forgets the camera when the server is lost', () => {
    const taken = after(NOTHING_YET, { type: 'taken', camera: 4 })
    expect(taken.taken).toBe(4)
    const going = after(taken, { type: 'going' })
    expect(after(going, { type: 'lost' })).toMatchObject({ taken: 0, going: false })
  })

  it.each([
    [true, ''],
    [false, 'because'],
  ])('a camera that answers ends the trouble of its silence (%s) and no other', (silent, trouble) => {
    const told = after(NOTHING_YET, { type: 'trouble', camera: 4, reason: 'because', silent })
    expect(after(told, { type: 'answers' }).trouble).toBe(trouble)
    expect(after(told, { type: 'driving' }).trouble).toBe('')
  })

  it('draws a position anew only when it changed', () => {
    const store = positionStore()
    let drawn = 0
    store.listen(() => drawn++)
    for (const panCounts of [0, 0, 14, 14]) store.set({ ...AT_REST, panCounts })
    store.set(undefined)
    store.set(undefined)
    expect([drawn, store.now()]).toEqual([3, undefined])
  })

  it('says so when a head was not seen standing', () => {
    const owed = after(NOTHING_YET, {
      type: 'stopped',
      camera: 1,
      standing: false,
      blind: false,
      why: 'released',
    })
    expect([owed.stopped, owed.notSeenStopped]).toEqual(['', 'released'])
    const done = after(owed, { type: 'stopped', camera: 1, standing: true, blind: false, why: 'released' })
    expect([done.stopped, done.notSeenStopped]).toEqual(['Stopped and seen standing still (released)', ''])
  })

  it.each(['refused', 'released'] as const)('a camera that was %s is on the stick no longer', (type) => {
    const taken = after(NOTHING_YET, { type: 'taken', camera: 4 })
    expect(after(taken, { type, camera: 4, reason: 'because', askable: false } as const)).toMatchObject({
      taken: 0,
      trouble: 'because',
    })
    expect(after(taken, { type: 'trouble', camera: 4, reason: 'because', silent: true }).taken).toBe(4)
  })
})

describe('numbers typed at the desk', () => {
  const cameras = [1, 2, 10, 14].map((number) => ({ id: number * 100, number, key: String(number) }))
  const zero = cameras.map((c) => ({ ...c, key: String(c.number - 1) }))
  const letters = ['A', 'B', 'AA'].map((key, i) => ({ id: i * 100 + 100, number: [1, 2, 27][i] ?? 0, key }))
  it.each([
    ['2', { take: 200, wait: '' }],
    ['1', { wait: '1' }],
    ['10', { take: 1000, wait: '' }],
    ['15', { wait: '' }],
    ['3', { wait: '' }],
  ])('%s', (typed, expected) => {
    expect(afterDigit(cameras, typed)).toEqual(expected)
  })
  it.each([
    ['0', zero, { take: 100, wait: '' }],
    ['1', zero, { wait: '1' }],
    ['B', letters, { take: 200, wait: '' }],
    ['A', letters, { wait: 'A' }],
    ['AA', letters, { take: 300, wait: '' }],
    ['27', letters, { take: 300, wait: '' }],
    ['1', letters, { take: 100, wait: '' }],
  ])('%s as the house numbers', (typed, house, expected) => {
    expect(afterDigit(house, typed)).toEqual(expected)
  })
  it('are no keys of the desk: capitals only where keys are letters', () => {
    expect(['7', 'Enter', 'C', 'c'].map((k) => isKeyOf(letters, k))).toEqual([true, true, true, false])
    expect(['7', 'Enter', 'C', 'c'].map((k) => isKeyOf(zero, k))).toEqual([true, true, false, false])
  })
})

describe('where a steady move ends', () => {
  const limits = {
    panLeft: -170,
    panRight: 170,
    tiltDown: -30,
    tiltUp: 90,
    roll: { from: -45, to: 45 },
    rail: { from: 0, to: 4 },
  }
  const still = { ...AT_REST, panDegrees: 10 }
  it.each([
    ['at the right', { panPerSecond: 8 }, { seconds: 20, places: ['pan 170°'] }, '8.0 °/s'],
    ['at the left', { panPerSecond: -9 }, { seconds: 20, places: ['pan -170°'] }, '9.0 °/s'],
    [
      'where the first axis ends',
      { panDegrees: 0, panPerSecond: 10, tiltPerSecond: 10 },
      { seconds: 9, places: ['pan 90°', 'tilt 90°'] },
      '14.1 °/s',
    ],
    [
      'at once, beyond its limit',
      { panDegrees: 175, panPerSecond: 5 },
      { seconds: 0, places: ['pan 175°'] },
      '5.0 °/s',
    ],
    [
      'at the end of its rail',
      { railMetres: 1, railPerSecond: 0.2, rollDegrees: 0, rollPerSecond: 1 },
      { seconds: 15, places: ['roll 15°', 'rail 4.00 m'] },
      'roll 1.0 °/s, rail 0.20 m/s',
    ],
    ['at a place not known', { rollPerSecond: 2 }, undefined, 'roll 2.0 °/s'],
    ['nowhere', {}, undefined, '0.0 °/s'],
  ])('%s', (_, moving, end, words) => {
    expect(holdEnd({ ...still, ...moving }, limits)).toEqual(end)
    expect(speedWords({ ...still, ...moving })).toBe(words)
  })
})

describe('limits of a camera that hangs the other way', () => {
  const limits = { panLeft: -170, panRight: 160, tiltDown: -30, tiltUp: 90 } as DeskCamera['limits']
  it.each([
    [false, false, [-170, 160, -30, 90]],
    [true, false, [-160, 170, -30, 90]],
    [false, true, [-170, 160, -90, 30]],
    [true, true, [-160, 170, -90, 30]],
  ])('pan round %s, tilt round %s', (pan, tilt, [panLeft, panRight, tiltDown, tiltUp]) => {
    expect(turnedRound({ limits }, { pan, tilt }).limits).toEqual({ panLeft, panRight, tiltDown, tiltUp })
  })
})

describe('many cameras', () => {
  const many = Array.from({ length: 45 }, (_, i) => ({
    number: i + 1,
    key: String(i + 1),
    name: `L${i + 1}`,
  }))
  it('stand in groups that leave none out, and are found by number or name', () => {
    expect(groupsOf(many)).toEqual(['1 to 20', '21 to 40', '41 to 45'])
    expect(groupWith([{ id: 7 }, { id: 8 }, { id: 9 }], 9, 2, 0)).toBe(1)
    expect(groupWith([{ id: 7 }], 0, 2, 3)).toBe(3)
    expect(groupsOf(many, 10)[4]).toBe('41 to 45')
    expect(fewOf(many, 4, '', 10)).toHaveLength(5)
    expect([0, 1, 2].flatMap((g) => fewOf(many, g, ''))).toEqual(many)
    expect(fewOf(many, 0, '4').map((c) => c.number)).toEqual([4, 14, 24, 34, 40, 41, 42, 43, 44, 45])
    expect(fewOf(many, 2, ' l7 ').map((c) => c.name)).toEqual(['L7'])
    expect(fewOf(many, 0, 'nobody')).toEqual([])
  })
})

describe('presets', () => {
  const preset = (number: number) => ({ number }) as Preset
  it.each([
    ['from 0', 5, [], [], 0],
    ['past those that are taken', 5, [], [0, 1, 3], 2],
    ['past those that call something else', 5, [0, 2], [1], 3],
    ['none when all are taken', 2, [], [0, 1], undefined],
  ])('the next free number is %s', (_, count, reserved, taken, next) => {
    expect(nextFree({ count, reserved, presets: taken.map(preset) })).toBe(next)
  })
  it('say what they hold', () => {
    const lost = [{ part: 'iris', why: '', knob: '', to: null }]
    expect(holdsWords({ stored: ['position', 'zoom'], lost, at: '2026-01-01' })).toBe(
      'position, zoom; not iris',
    )
    expect(holdsWords({ stored: ['position'], lost: [], at: '2026-01-01' })).toBe('position')
    expect(holdsWords({ stored: ['position'], lost: [], at: '' })).toBe('noted, not stored in it yet')
  })
})

describe('what presets are called', () => {
  const stick = { namedBy: 'Stick', first: 1, bankOf: 8, reach: 16 }
  const plain = { namedBy: '', first: 0, bankOf: null, reach: 100 }
  it.each([
    [stick, 0, '1-1'],
    [stick, 8, '2-1'],
    [stick, 15, '2-8'],
    [stick, 16, 'no key (16)'],
    [plain, 16, '16'],
    [{ ...stick, bankOf: null }, 0, '1'],
  ])('%j calls %d %s', (row, number, name) => expect(called(row, number)).toBe(name))

  it('is typed by its digits, unless two would be typed alike', () => {
    expect([...typedFor(stick, [0, 9])]).toEqual([
      [0, '11'],
      [9, '22'],
    ])
    // 1-11 and 11-1
    expect([...typedFor({ namedBy: 'Stick', first: 1, bankOf: 16, reach: 400 }, [10, 160])]).toEqual([
      [10, '11'],
      [160, '161'],
    ])
  })

  it('says from where to where they go', () => {
    expect(namesWords({ ...stick, count: 100 })).toBe('1-1 to 2-8 as Stick calls them')
    expect(namesWords({ ...plain, count: 100 })).toBe('0 to 99 as the camera counts')
  })
})

describe('the link of a camera', () => {
  const presence = (state: string) => ({ state, at: null, millis: state === 'up' ? 4 : null, why: 'Gone.' })
  it.each([
    ['lost', 'set', 'up', '', 'link lost'],
    ['slow', 'planned', 'up', '', 'link slow'],
    ['up', 'set', 'lost', '', undefined],
    ['', 'set', 'lost', '', 'no answer'],
    ['', 'stale', 'slow', '', 'slow'],
    ['', 'planned', 'lost', '', undefined],
    ['', 'set', 'lost', 'no way to it', undefined],
    ['', 'proved', 'up', '', undefined],
    ['', 'set', 'unknown', '', undefined],
  ])('driven %s, marked %s, asked %s, kept by "%s" reads %s', (link, mark, state, cannot, words) => {
    expect(linkWords({ link, mark, cannot, presence: presence(state) })).toBe(words)
  })

  it('says what came of asking it', () => {
    expect(['up', 'lost', 'unknown'].map((s) => presenceWords({ presence: presence(s) }))).toEqual([
      'It answers when it is asked',
      'Gone.',
      '',
    ])
  })
})

describe('what can be done to a camera', () => {
  const knob = (name: string, use = 'lens', way = 'VISCA') => ({ name, use, in: way })
  const told = (...knobs: ReturnType<typeof knob>[]) => ({ knobs }) as unknown as ToldView
  const head = (cannot = '') => ({ id: 1, number: 1, key: '1', name: 'L1', tells: true, cannot }) as never
  const bare = { id: 8, number: 8, key: '8', name: 'L8' }
  it.each([
    [
      'a head',
      head(),
      told(knob('iris', 'paint'), knob('gain', 'paint')),
      'pan and tilt, zoom, focus, iris, paint',
    ],
    ['a head that nothing is known of', head(), undefined, 'pan and tilt, zoom, focus'],
    ['a head without a way', head('no address'), undefined, 'nothing from here'],
    ['one that is painted', bare, told(knob('gain', 'paint')), 'paint only'],
    ['one with a motor lens', bare, told(knob('zoom'), knob('iris')), 'zoom, iris'],
    ['one that cannot be told', bare, told(knob('gain', 'paint', '')), 'nothing from here'],
  ])('%s: %s', (_, camera, view, words) => {
    expect(canWords(camera, view)).toBe(words)
  })

  it('puts those without a head among the others by number', () => {
    const job = { lines: [1, 8, 10].map((n) => ({ number: n, name: `L${n}`, cameraId: n })) } as never
    const cameras = [1, 10].map((n) => ({ id: n, number: n, tells: true })) as never
    const keys = keyed(cameras, headless(job, { cameras }))
    expect(keys.map((k) => [k.id, hasHead(k)])).toEqual([
      [1, true],
      [8, false],
      [10, true],
    ])
    expect(headless(job, { cameras }).map((o) => o.key)).toEqual(['8'])
  })
})
