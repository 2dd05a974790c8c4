import { describe, expect, it } from 'vitest'
import type { Job, LogEntry } from '../../shared/api/types'
import { drawn, readable } from '../../shared/drawn.test.helper'
import { kinds } from './kinds'
import { LogLine } from './LogLine'

const job = (clock: string) =>
  ({ id: 3, site: { clock }, devices: [{ id: 4, name: 'L4' }] }) as unknown as Job
const entry = (more: object) =>
  ({
    at: '2026-11-27T23:29:00',
    person: 'Asha',
    kind: 'note',
    text: 'Door sticks',
    devices: [],
    photoId: null,
    fromFile: false,
    ...more,
  }) as unknown as LogEntry
const line = (more: object, clock = '24-hour') => <LogLine job={job(clock)} entry={entry(more)} />

describe('LogLine', () => {
  it.each([
    ['24-hour', '23:29'],
    ['12-hour', '11:29 PM'],
  ])('follows the habit of the house: %s', (clock, time) =>
    expect(readable(line({}, clock)).replace(/\u202f/g, ' ')).toBe(`${time} Asha ${kinds.note} Door sticks`),
  )

  it('says what came with a file', () =>
    expect(readable(line({ fromFile: true }))).toContain('(from the file)'))

  it('leads from a note to its devices, passing over those that are gone', () => {
    const html = drawn(line({ devices: [4, 9] }))
    expect(html.match(/href="\/jobs\/3\/addresses#device-\d+"/g)).toEqual([
      'href="/jobs/3/addresses#device-4"',
    ])
  })

  it('shows a photo with what was said to it', () =>
    expect(drawn(line({ photoId: 8 }))).toMatch(
      /src="\/api\/jobs\/3\/log\/photos\/8" alt="Photo to: Door sticks"/,
    ))
})
