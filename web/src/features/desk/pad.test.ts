import { describe, expect, it } from 'vitest'
import type { AxisUse } from './pad'
import { USUAL, calibrated, deflected, movedAxis, readPad, withAxis, withButton } from './pad'

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
    expect(stick).toEqual({ pan: 1, tilt: -1, zoom: 1, focus: 0 })
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

  it('rests where it was calibrated, whatever it strays', () => {
    const rest = [
      [0.11, 0.02],
      [0.17, -0.02],
      [0.14, 0],
    ]
    const map = calibrated(USUAL, rest)
    for (const axes of rest)
      expect(readPad(map, state(axes)).stick).toEqual({ pan: 0, tilt: 0, zoom: 0, focus: 0 })
    expect(map.axes[0]?.centre).toBeCloseTo(0.14, 9)
    expect(calibrated(USUAL, [])).toEqual(USUAL)
  })
})
