import { describe, expect, it } from 'vitest'
import type { BringUp, Step } from '../../shared/api/types'
import { cardsOf } from './cards'

/** Steps as "device kind", done ones with a plus before; "-" for the laptop. */
function view(steps: string, current: number, waits: readonly number[] = []): BringUp {
  const all = steps.split(', ').map((text, i) => {
    const done = text.startsWith('+')
    const [device = '', kind = ''] = text.replace('+', '').split(' ')
    const deviceId = device === '-' ? null : Number(device)
    return { number: i + 1, kind, deviceId, device: `L${device}`, done } as Step
  })
  return {
    steps: all,
    current,
    waits: waits.map((deviceId) => ({ deviceId, left: 30, total: 90 })),
  } as unknown as BringUp
}

describe('cardsOf', () => {
  it.each([
    ['- hop-out, 1 plug, 1 set', 1, [], 'Laptop out now, L1 ahead'],
    ['+- hop-out, +1 plug, 1 set', 3, [1], 'Laptop out done, L1 now'],
    ['+1 set, 2 plug, 1 verify', 2, [1], 'L1 waits, L2 now'],
    ['+1 set, 2 plug, 1 verify', 2, [], 'L1 begun, L2 now'],
    ['+1 plug, +1 verify, 2 plug', 3, [], 'L1 done, L2 now'],
    ['- alias, 1 plug, - hop-home', 1, [], 'Laptop, one more now, L1 ahead, Laptop home ahead'],
  ] as const)('%s at %i is %s', (steps, current, waits, cards) =>
    expect(
      cardsOf(view(steps, current, waits))
        .map((c) => `${c.name} ${c.state}`)
        .join(', '),
    ).toBe(cards),
  )
})
