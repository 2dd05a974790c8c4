import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { describe, expect, it, vi } from 'vitest'
import type { Desk, DeskCamera, Job } from '../../shared/api/types'
import { drawn, readable } from '../../shared/drawn.test.helper'
import { NOTHING_YET } from './deskState'
import type { DeskState } from './deskState'
import { frameStore } from './frames'
import { LeadThere } from './LeadThere'
import { limitsOf } from './limits'
import { softWords } from './SoftLimits'
import type { Frame, Position } from './messages'
import { NotSeenStopped } from './NotSeenStopped'
import { placeOf, placeWords } from './place'
import { Turns } from './stillTurns'
import { TakeOver } from './TakeOver'

const nothing = () => undefined

describe('TakeOver', () => {
  const desk = { cameras: [{ id: 4, name: 'L4' }] } as unknown as Desk
  it.each<[Partial<DeskState>, boolean, string]>([
    [{}, false, ''],
    [{ askable: 4 }, false, 'Ask for L4'],
    [{ askable: 4 }, true, 'Take L4 over now'],
    [{ askable: 9 }, false, 'Ask for it'],
    [{ waitingFor: 4 }, false, 'L4 was asked for. Its driver has 10 s to keep it; then it is yours.'],
    [
      { taken: 4, asked: { by: 'Bilal', seconds: 7 } },
      false,
      'Bilal asks for L4. It is stopped and given in 7 s. Keep it',
    ],
    // Asked for a camera that was given back meanwhile: there is nothing to keep any more.
    [{ taken: 0, asked: { by: 'Bilal', seconds: 7 } }, false, ''],
  ])('of %j, leading %s, says "%s"', (state, leads, words) =>
    expect(
      readable(
        <TakeOver
          desk={desk}
          state={{ ...NOTHING_YET, ...state }}
          leads={leads}
          onAsk={nothing}
          onKeep={nothing}
        />,
      ),
    ).toBe(words),
  )
})

describe('LeadThere', () => {
  const lead = { there: false, by: '', to: '/dev/ttyUSB0', others: 'L13' }
  it.each([
    [lead, 'lead', 'The lead of L10 is on /dev/ttyUSB0 now'],
    [lead, 'operator', 'Whoever plans this job can say that it is there.'],
    [{ ...lead, there: true }, 'lead', ''],
    [null, 'lead', ''],
  ])('of %j, to a %s, says "%s"', (of, role, words) =>
    expect(
      readable(
        <QueryClientProvider client={new QueryClient()}>
          <LeadThere
            job={{ id: 1, role } as unknown as Job}
            camera={{ id: 10, name: 'L10', lead: of } as unknown as DeskCamera}
            onThere={nothing}
          />
        </QueryClientProvider>,
      ),
    ).toBe(words),
  )
})

describe('NotSeenStopped', () => {
  const element = <NotSeenStopped name="L7" why="stick silent" onStop={nothing} />
  it('is an alert that names the camera, the reason and what to do', () => {
    expect(drawn(element)).toContain('role="alert"')
    expect(readable(element)).toMatch(/L7 was not seen stopped.*stick silent.*cut its power.*STOP ALL again/)
  })
})

describe('limitsOf', () => {
  const limits = { panLeft: -170, panRight: 170, tiltDown: -30, tiltUp: 90, roll: null, rail: null }
  const none = { panLeft: null, panRight: null, tiltDown: null, tiltUp: null }
  it.each([
    [{}, [-170, 170, -30, 90]],
    [{ panLeft: -20, tiltUp: 45 }, [-20, 170, -30, 45]],
    // Wider than the head goes: the head's own stands.
    [{ panLeft: -200, panRight: 300, tiltDown: -90, tiltUp: 120 }, [-170, 170, -30, 90]],
  ])('with %j is %j', (soft, expected) => {
    const both = { limits, soft: { ...none, ...soft } } as unknown as DeskCamera
    const { panLeft, panRight, tiltDown, tiltUp } = limitsOf(both)
    expect([panLeft, panRight, tiltDown, tiltUp]).toEqual(expected)
  })
})

describe('soft limits of roll and rail', () => {
  const none = { rollLeft: null, rollRight: null, railFrom: null, railTo: null }
  const rail = { from: 0, to: 4 }
  it.each([
    [null, {}, null],
    // A head on no rail has none, whatever was set.
    [null, { railTo: 2 }, null],
    [rail, {}, rail],
    [rail, { railTo: 2.25 }, { from: 0, to: 2.25 }],
    [rail, { railFrom: -1, railTo: 9 }, rail],
  ])('a rail of %j with %j goes %j', (can, soft, expected) => {
    const limits = { roll: null, rail: can }
    expect(limitsOf({ limits, soft: { ...none, ...soft } } as unknown as DeskCamera).rail).toEqual(expected)
  })

  it.each([
    [{}, ''],
    [{ panLeft: -20, rollRight: 8 }, 'left -20.0°, roll right 8.0°'],
    [{ railFrom: 0, railTo: 2.25 }, 'rail start 0.00 m, rail end 2.25 m'],
  ])('%j reads “%s”', (soft, words) => {
    const pan = { panLeft: null, panRight: null, tiltDown: null, tiltUp: null }
    expect(softWords({ ...pan, ...none, ...soft })).toBe(words)
  })
})

describe('a place', () => {
  const at = { panDegrees: 10, tiltDegrees: -2.25, rollDegrees: null, railMetres: null }
  it.each([
    [{}, '10.0°, -2.3°'],
    [{ railMetres: 1.2 }, '10.0°, -2.3°, rail 1.20 m'],
    [{ rollDegrees: 0, railMetres: 0 }, '10.0°, -2.3°, roll 0.0°, rail 0.00 m'],
  ])('that tells %j as well reads %s', (more, words) =>
    expect(placeWords(placeOf({ ...at, ...more } as Position))).toBe(words),
  )
})

describe('frames', () => {
  const frame = (hex: string) => ({ at: '', sent: true, hex, meaning: '' }) as Frame

  it('keeps the newest 60, newest first, each with its own number, and draws a few times a second', () => {
    vi.useFakeTimers()
    const store = frameStore()
    const draw = vi.fn()
    store.listen(draw)
    for (let i = 0; i < 50; i++) store.add([frame(`${i}b`), frame(`${i}a`)], 0)
    expect(draw).not.toHaveBeenCalled()
    vi.advanceTimersByTime(300)
    expect(draw).toHaveBeenCalledTimes(1)
    expect(store.now()).toHaveLength(60)
    expect(store.now().map((f) => f.number)).toEqual(Array.from({ length: 60 }, (_, i) => 100 - i))
    expect(store.now()[0]?.hex).toBe('49b')
    store.clear()
    expect(store.now()).toEqual([])
    expect(draw).toHaveBeenCalledTimes(2)
    vi.useRealTimers()
  })

  it('says at the oldest of those told together how many went before it', () => {
    const store = frameStore()
    store.add([frame('a')], 0)
    store.add([frame('c'), frame('b')], 7)
    expect(store.now().map((f) => [f.hex, f.number, f.leftOut])).toEqual([
      ['c', 10, 0],
      ['b', 9, 7],
      ['a', 1, 0],
    ])
  })

  it('tells nobody who has left', () => {
    const store = frameStore()
    const draw = vi.fn()
    store.listen(draw)()
    store.clear()
    expect(draw).not.toHaveBeenCalled()
  })
})

describe('turns for pictures', () => {
  it('lets so many go at once, then one for each that is given back, in order', () => {
    const turns = new Turns(2)
    const went: string[] = []
    for (const name of ['a', 'b', 'c', 'd']) turns.want(() => went.push(name))
    expect(went).toEqual(['a', 'b'])
    turns.giveBack()
    expect(went).toEqual(['a', 'b', 'c'])
    turns.giveBack()
    turns.giveBack()
    turns.want(() => went.push('e'))
    expect(went).toEqual(['a', 'b', 'c', 'd', 'e'])
  })

  it('passes over whoever does not want it any more, and loses no turn by that', () => {
    const turns = new Turns(1)
    const went: string[] = []
    turns.want(() => went.push('a'))
    const leave = turns.want(() => went.push('b'))
    turns.want(() => went.push('c'))
    leave()
    leave()
    turns.giveBack()
    expect(went).toEqual(['a', 'c'])
    turns.giveBack()
    turns.want(() => went.push('d'))
    expect(went).toEqual(['a', 'c', 'd'])
  })
})
