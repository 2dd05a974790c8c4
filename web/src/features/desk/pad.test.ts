import { describe, expect, it } from 'vitest'
import { CENTRE } from './messages'
import type { AxisUse } from './pad'
import {
  USUAL,
  calibrated,
  deflected,
  movedAxis,
  padChoices,
  readPad,
  toldBy,
  withAxis,
  withButton,
  without,
} from './pad'

const use = (centre: number, dead: number, turned = false): AxisUse => ({
  axis: 0,
  to: 'pan',
  turned,
  centre,
  dead,
})
const state = (axes: number[], ...pressed: number[]) => ({
  axes,
  buttons: Array.from({ length: 16 }, (_, i) => ({ pressed: pressed.includes(i) })),
})

describe('a pad', () => {
  it.each([
    ['rests', 0, 0.1, false, 0, 0],
    ['strays within its dead zone', 0, 0.1, false, -0.1, 0],
    ['goes all the way', 0, 0.1, false, 1, 1],
    ['half of what is beyond', 0, 0.1, false, 0.55, 0.5],
    ['is turned round', 0, 0.1, true, 0.55, -0.5],
    ['rests off its middle', 0.2, 0.05, false, 0.2, 0],
    ['reaches all the way from there', 0.2, 0.05, false, 1, 1],
    ['and no further the long way', 0.2, 0.05, false, -1, -1],
    ['never comes off a centre at its end', 1, 0.05, false, 0, 0],
  ])('%s', (_, centre, dead, turned, raw, expected) => {
    expect(deflected(use(centre, dead, turned), raw)).toBeCloseTo(expected, 9)
  })

  it('drives by its sticks and acts by its buttons', () => {
    const { stick, acts } = readPad(USUAL, state([1, 1, 0, -1], 1, 5))
    expect(stick).toEqual({ ...CENTRE, pan: 1, tilt: -1, zoom: 1 })
    expect([...acts]).toEqual(['stop', 'next'])
    const zoomed = readPad(withButton(USUAL, 'wide', 7), state([0, 0, 0, 0], 7))
    expect(zoomed.stick.zoom).toBe(-1)
  })

  it('is mapped by what was moved most, each axis to one thing', () => {
    expect(movedAxis([0, 0, 0], [0.2, -0.9, 0.6])).toEqual({ axis: 1, turned: true })
    expect(movedAxis([0, 0, 0], [0.2, 0.3, 0])).toBeUndefined()
    const map = withAxis(USUAL, 'zoom', 1, false)
    expect(map.axes.map((a) => `${a.to} ${a.axis}`)).toEqual(['pan 0', 'zoom 1'])
    expect(withButton(USUAL, 'home', 1).buttons.some((b) => b.to === 'stop')).toBe(false)
  })

  it('turns any knob by an axis and tells any verb by a button, each once', () => {
    const map = withButton(
      withButton(withAxis(USUAL, 'knob:iris', 2, false), 'up:iris', 6),
      'verb:one-push: focus',
      7,
    )
    const read = readPad(map, state([0, 0, 0.54, 0], 6, 7))
    expect(read.turns.get('iris')).toBeCloseTo(0.5, 9)
    expect(read.stick).toEqual(CENTRE)
    expect([...read.acts].map(toldBy)).toEqual([
      { name: 'iris', by: 1 },
      { name: 'one-push: focus', by: 0 },
    ])
    expect(toldBy('stop')).toBeUndefined()
    expect(without(without(map, 'knob:iris'), 'up:iris')).toEqual(
      withButton(USUAL, 'verb:one-push: focus', 7),
    )
  })

  it('is given nothing that restarts, erases, powers or moves', () => {
    const knob = (name: string, does: string, choices: number) => ({
      name,
      does,
      choices: Array(choices).fill({}),
    })
    const view = {
      knobs: [knob('iris', '', 0), knob('mode', '', 2), knob('power', 'powers', 2)],
      verbs: [
        { name: 'one-push', does: '', grave: false },
        { name: 'reset', does: 'erases', grave: true },
        { name: 'home', does: 'moves', grave: false },
      ],
    } as unknown as Parameters<typeof padChoices>[0]
    expect(padChoices(view)).toEqual([
      'knob:iris',
      'up:iris',
      'down:iris',
      'up:mode',
      'down:mode',
      'verb:one-push',
    ])
  })

  it('rests where it was calibrated, whatever it strays', () => {
    const rest = [
      [0.11, 0.02],
      [0.17, -0.02],
      [0.14, 0],
    ]
    const map = calibrated(USUAL, rest)
    for (const axes of rest) expect(readPad(map, state(axes)).stick).toEqual(CENTRE)
    expect(map.axes[0]?.centre).toBeCloseTo(0.14, 9)
    expect(calibrated(USUAL, [])).toEqual(USUAL)
  })
})
