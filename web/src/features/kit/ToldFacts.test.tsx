import { describe, expect, it } from 'vitest'
import { readable } from '../../shared/drawn.test.helper'
import { ToldFacts } from './ToldFacts'

describe('ToldFacts', () => {
  it.each([
    [{ least: 0, most: 20, readable: true }, '0 to 20'],
    [{ least: 0, most: 20 }, '0 to 20; not read back'],
    [{ least: -7, most: 7, neutral: 0, readable: true }, '-7 to 7, neutral at 0'],
    [{ least: 0, most: 9, effect: 0.5, unit: 'stop', readable: true }, '0 to 9; a step is 0.5 stop'],
    [
      { least: 0, most: 1, neutral: 1, choices: [{ name: 'off' }, { name: 'on' }], readable: true },
      'off, on',
    ],
  ])('says of %j: %s', (knob, words) =>
    expect(readable(<ToldFacts facts={{ knobs: [{ name: 'gain', ...knob }] }} />)).toBe(
      `Knobs gain ${words}`,
    ),
  )

  it('says when a knob acts', () =>
    expect(
      readable(
        <ToldFacts
          facts={{
            knobs: [
              {
                name: 'iris',
                least: 0,
                most: 9,
                readable: true,
                only: [{ knob: 'mode', in: ['manual', 'iris'] }],
              },
            ],
          }}
        />,
      ),
    ).toContain('only while mode is manual or iris'))

  it.each([{}, { knobs: [] }, { knobs: 'none', verbs: 7 }, { knobs: [null, 3] }])(
    'of %j is nothing',
    (facts) => expect(readable(<ToldFacts facts={facts} />)).toBe(''),
  )
})
