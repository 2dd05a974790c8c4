import { describe, expect, it } from 'vitest'
import type { Device } from '../../shared/api/types'
import { chosen, kitRows } from './kitRows'

const device = (id: number, name: string, profile = 'Ceiling PTZ', firmware = '') =>
  ({ id, name, profile, firmware, mac: '', serialNumber: '', condition: 'new' }) as Device
const kit = [device(1, 'L10'), device(2, 'L2', 'Dome'), device(3, 'L1', 'Ceiling PTZ', '2.4')]
const names = (rows: readonly Device[]) => rows.map((d) => d.name)

describe('the rows of the kit', () => {
  it.each([
    ['', ['L10', 'L2', 'L1']],
    ['ceiling', ['L10', 'L1']],
    ['ptz 2.4', ['L1']],
    ['nothing', []],
  ])('found by "%s"', (wanted, expected) => expect(names(kitRows(kit, wanted))).toEqual(expected))

  it('sorts numbers as numbers, both ways, and leaves the job alone', () => {
    expect(names(kitRows(kit, '', { by: 'name', down: false }))).toEqual(['L1', 'L2', 'L10'])
    expect(names(kitRows(kit, '', { by: 'name', down: true }))).toEqual(['L10', 'L2', 'L1'])
    expect(names(kit)).toEqual(['L10', 'L2', 'L1'])
  })

  it.each([
    [new Set<number>(), 2, undefined, [2]],
    [new Set([2]), 2, undefined, []],
    [new Set([1]), 3, 1, [1, 2, 3]],
    [new Set([3]), 1, 3, [1, 2, 3]],
    [new Set([1]), 3, 99, [1, 3]],
  ])('chooses %j and %i from %j', (now, id, last, expected) =>
    expect([...chosen(kit, now, id, last)].sort()).toEqual(expected),
  )
})
