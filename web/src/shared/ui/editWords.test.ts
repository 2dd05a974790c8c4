import { describe, expect, it } from 'vitest'
import type { Job } from '../api/types'
import { fieldWords, itemName, valueWords } from './editWords'

const job = {
  devices: [
    { id: 7, name: 'Stick' },
    { id: 8, name: 'Lens' },
  ],
  lines: [{ id: 9, name: 'L1' }],
} as unknown as Job

describe('what an edit changes', () => {
  it.each([
    ['device', 8, 'Lens'],
    ['line', 9, 'L1'],
    ['mount', 3, 'mount'],
    ['device', 99, ''],
  ])('%s %i is %s', (item, id, name) => {
    expect(itemName(job, { item, id })).toBe(name)
  })

  it.each([
    ['controlId', 'control ID'],
    ['serialNumber', 'serial number'],
    ['address', 'address'],
  ])('%s is said as %s', (field, words) => {
    expect(fieldWords(field)).toBe(words)
  })

  it.each([
    ['fitted', '7', 'Stick'],
    ['controller', '', 'none'],
    ['controller', '99', '99'],
    ['key', '7', '7'],
  ])('%s %j is shown as %s', (field, text, words) => {
    expect(valueWords(job, field, text)).toBe(words)
  })
})
