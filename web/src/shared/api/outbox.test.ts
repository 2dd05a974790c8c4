import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { Changes } from './types'

const change = (after: string): Changes => ({
  adds: [],
  edits: [{ item: 'device', id: 7, field: 'address', before: '', after }],
  removes: [],
})

/** A browser's storage, and the module as a page loads it anew. */
const disk = new Map<string, string>()
const storage = {
  getItem: (key: string) => disk.get(key) ?? null,
  setItem: (key: string, value: string) => disk.set(key, value),
}
const load = async () => {
  vi.resetModules()
  return (await import('./outbox')).outbox
}

describe('the outbox', () => {
  beforeEach(() => {
    disk.clear()
    vi.stubGlobal('localStorage', storage)
  })

  it('keeps changes in their order, each job its own, over a reload', async () => {
    const before = await load()
    before.keep(1, change('a'))
    before.keep(2, change('b'))
    before.keep(1, change('c'))
    const after = await load()
    expect(after.next(1)?.changes).toEqual(change('a'))
    after.drop(after.next(1)?.key ?? '')
    expect(after.next(1)?.changes).toEqual(change('c'))
    expect(after.next(2)?.changes).toEqual(change('b'))
  })

  it('keeps what was refused for somebody to look at, and goes on with the next', async () => {
    const outbox = await load()
    outbox.keep(1, change('a'))
    outbox.keep(1, change('b'))
    outbox.refuse(outbox.next(1)?.key ?? '', 'changed meanwhile', 'theirs')
    expect(outbox.next(1)?.changes).toEqual(change('b'))
    expect(outbox.all()[0]).toMatchObject({ refusal: 'changed meanwhile', theirs: 'theirs' })
  })

  it('starts empty when what is stored is damaged', async () => {
    disk.set('jerboa.outbox', '[{')
    expect((await load()).all()).toEqual([])
  })
})
