import { describe, expect, it } from 'vitest'
import published from '../../../../docs/formats/jerboa-profile.schema.json'
import { factGroups } from './factLines'
import type { Facts, Schema } from './profileSchema'
import { blank, withFact } from './profileSchema'

const schema = published as Schema

/** Facts that say everything the schema has a place for, each with a value of its own. */
function everything(part: Schema, next: () => number): unknown {
  if (part.type === 'object') {
    return Object.fromEntries(
      Object.entries(part.properties ?? {}).map(([key, inner]) => [key, everything(inner, next)]),
    )
  }
  if (part.type === 'array') return [everything(part.items ?? {}, next)]
  if (part.type === 'boolean') return true
  return `fact-${next()}.`
}

describe('the facts of a profile', () => {
  it('are shown, every one that the schema has a place for', () => {
    let made = 0
    const facts = everything(schema, () => ++made) as Facts
    const shown = factGroups(schema, facts)
      .flatMap((g) => g.lines.map((l) => `${l.words} ${l.value}`))
      .join('\n')
    expect(made).toBeGreaterThan(100)
    const missing = Array.from({ length: made }, (_, i) => `fact-${i + 1}.`).filter((f) => !shown.includes(f))
    expect(missing).toEqual([])
  })

  it('have words, and units where they measure', () => {
    const lines = factGroups(schema, {
      bootSeconds: 60,
      network: { starts: 'fixed', address: '192.168.77.10', leaseOnly: false, leaseToggle: true },
      head: { pan: { slowest: 0.4, fastest: 90 } },
      ports: [{ name: 'LAN', join: 'ethernet', count: 2, use: 'control' }],
    }).flatMap((g) => g.lines.map((l) => `${g.title} | ${l.words} | ${l.value}`))
    expect(lines).toEqual([
      'What it is | Boots in | 60 s',
      'Network | Starts with | fixed',
      'Network | Factory address | 192.168.77.10',
      'Network | Can be switched to a lease at the device | yes',
      'Head | Pan speed: Slowest | 0.4',
      'Head | Pan speed: Fastest | 90',
      'Sockets | LAN | socket ethernet, how many 2, use control',
    ])
  })
})

describe('a part of a profile', () => {
  it('starts with what it must have', () => {
    const ids = schema.properties?.ids ?? {}
    expect(blank(ids)).toEqual({ lowest: 0, highest: 0, factory: 0, setBy: 'menu' })
    expect(blank({ type: 'array' })).toEqual([])
  })

  it.each([
    ['set', 5, { a: 1, b: 5 }],
    ['taken out', undefined, { a: 1 }],
    ['emptied', '', { a: 1 }],
    ['said to be false', false, { a: 1, b: false }],
  ])('is %s', (_, value, expected) => expect(withFact({ a: 1, b: 2 }, 'b', value)).toEqual(expected))
})
