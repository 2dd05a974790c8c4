import { describe, expect, it } from 'vitest'
import type { Stick } from './messages'
import { CENTRE } from './messages'
import { stickStore } from './stickStore'
import { heldKeys } from './useStickKeys'

function recorded() {
  const sent: Stick[] = []
  const store = stickStore()
  store.listen((s) => sent.push(s))
  return { sent, store, keys: heldKeys(store) }
}

describe('one store of the stick', () => {
  it('adds up what all sources hold and sends only what changes', () => {
    const { sent, store, keys } = recorded()
    keys.down('ArrowRight', false)
    const lever = store.hold('lever')
    lever.push({ zoom: -1 })
    lever.push({ zoom: -1 })
    store.hold('surface').push({ pan: 0.5, tilt: 0.2 })
    lever.release()
    expect(sent).toEqual([
      { ...CENTRE, pan: 1, tilt: 0, zoom: 0 },
      { ...CENTRE, pan: 1, tilt: 0, zoom: -1 },
      { ...CENTRE, pan: 1, tilt: 0.2, zoom: -1 },
      { ...CENTRE, pan: 1, tilt: 0.2, zoom: 0 },
    ])
  })

  it.each(['keys', 'surface', 'lever'] as const)(
    'a hold of the %s that was centred never comes back',
    (source) => {
      const { sent, store, keys } = recorded()
      const hold = store.hold(source)
      hold.push({ pan: 1 })
      store.centre()
      hold.push({ pan: 1 })
      keys.down('ArrowUp', false)
      hold.release()
      expect(sent).toEqual([
        { ...CENTRE, pan: 1, tilt: 0, zoom: 0 },
        CENTRE,
        { ...CENTRE, pan: 0, tilt: 1, zoom: 0 },
      ])
    },
  )

  it('a key that was held while the window lost the focus does not join the next key', () => {
    const { sent, store, keys } = recorded()
    keys.down('ArrowRight', false)
    store.centre()
    keys.down('ArrowRight', true)
    expect(sent.at(-1)).toEqual(CENTRE)
    keys.down('ArrowUp', false)
    expect(sent.at(-1)).toEqual({ ...CENTRE, pan: 0, tilt: 1, zoom: 0 })
    keys.up('ArrowRight')
    expect(sent.at(-1)).toEqual({ ...CENTRE, pan: 0, tilt: 1, zoom: 0 })
    keys.up('ArrowUp')
    expect(sent.at(-1)).toEqual(CENTRE)
    keys.down('ArrowRight', false)
    expect(sent.at(-1)).toEqual({ ...CENTRE, pan: 1, tilt: 0, zoom: 0 })
  })

  it('whatever is pressed and lost, nothing is left once all is released or centred', () => {
    const { sent, store, keys } = recorded()
    const names = ['ArrowLeft', 'ArrowRight', 'ArrowUp', '+', '=', '-']
    let seed = 7
    const random = (n: number) => (seed = (seed * 1103515245 + 12345) % 2147483648) % n
    for (let i = 0; i < 5000; i++) {
      const name = names[random(names.length)] ?? '+'
      if (random(9) === 0) store.centre()
      else if (random(2)) keys.down(name, random(3) === 0)
      else keys.up(name)
      if (i % 40 === 39) {
        if (random(2)) names.forEach((n) => keys.up(n))
        else store.centre()
        expect(sent.at(-1) ?? CENTRE).toEqual(CENTRE)
      }
    }
  })

  it('keeps a push without a hand until somebody pushes anew or all is centred', () => {
    const { sent, store, keys } = recorded()
    store.keep()
    expect(store.kept()).toBe(false)
    keys.down('ArrowRight', false)
    store.keep()
    keys.up('ArrowRight')
    expect(store.now()).toEqual({ ...CENTRE, pan: 1, tilt: 0, zoom: 0 })
    expect(store.kept()).toBe(true)
    const lever = store.hold('lever')
    lever.push({ zoom: 1 })
    expect(store.now()).toEqual({ ...CENTRE, pan: 0, tilt: 0, zoom: 1 })
    lever.release()
    expect(sent.at(-1)).toEqual(CENTRE)
    keys.down('ArrowUp', false)
    store.keep()
    store.centre()
    expect([store.kept(), sent.at(-1)]).toEqual([false, CENTRE])
  })
})
