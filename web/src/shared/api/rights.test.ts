import { describe, expect, it } from 'vitest'
import { adding, editing, mayAll, mayChange, rights, target } from './changes'
import { mayMakeStale } from './proveAgain'
import type { Again, Job } from './types'

type Role = Pick<Job, 'role'>
const as = (role: string): Role => ({ role })
const edit = (item: string) => ({ item, id: 3, field: 'name', before: 'a', after: 'b' })

describe('rights', () => {
  it.each([
    ['lead', true, true, true],
    ['technician', true, true, false],
    ['operator', false, true, false],
    ['viewer', false, false, false],
    ['', false, false, false],
  ])('of a %s: plans %s, drives %s, manages %s', (role, plan, drive, manage) =>
    expect(rights(as(role))).toEqual({ plan, drive, manage }),
  )
})

describe('mayChange', () => {
  it.each([
    ['technician', 'device', true],
    ['operator', 'device', false],
    ['operator', 'preset', true],
    ['operator', 'shot-list', true],
    ['operator', 'take', true],
    ['viewer', 'preset', false],
  ])('a %s changes a %s: %s', (role, item, may) => expect(mayChange(as(role), item)).toBe(may))
})

describe('mayAll', () => {
  it('is no when one of many changes is not theirs, wherever it stands', () => {
    const operator = as('operator')
    expect(mayAll(operator, editing(edit('preset'), edit('take')))).toBe(true)
    expect(mayAll(operator, editing(edit('preset'), edit('line')))).toBe(false)
    expect(mayAll(operator, adding('device', { name: 'L4' }))).toBe(false)
    expect(mayAll(operator, { ...editing(), removes: [{ item: 'run', id: 1 }] })).toBe(false)
    expect(mayAll(operator, editing())).toBe(true)
  })
})

describe('target', () => {
  it('is the same for two edits of one field, and for no others', () => {
    expect(target(edit('line'))).toBe(target({ ...edit('line') }))
    expect(target(edit('line'))).not.toBe(target(edit('device')))
    expect(target(edit('line'))).not.toBe(target({ ...edit('line'), field: 'number' }))
    expect(target(edit('line'))).not.toBe(target({ ...edit('line'), id: 4 }))
  })
})

describe('mayMakeStale', () => {
  it('asks nobody where nothing becomes stale', () => expect(mayMakeStale([])).resolves.toBe(true))

  it('takes a question that nobody answered back when another is asked', async () => {
    const again = [{ line: 'L4', tests: ['key'] }] as unknown as readonly Again[]
    const first = mayMakeStale(again)
    void mayMakeStale(again)
    await expect(first).resolves.toBe(false)
  })
})
