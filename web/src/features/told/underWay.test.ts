import { expect, it } from 'vitest'
import { UnderWay } from './underWay'

it('lets nothing overtake what is under way, whether that ends well or not', async () => {
  const done: string[] = []
  const ends: (() => void)[] = []
  const open = (name: string) =>
    new Promise<void>((resolve, reject) => {
      ends.push(() => {
        done.push(name)
        if (name.startsWith('bad')) reject(new Error(name))
        else resolve()
      })
    })
  const under = new UnderWay()
  const first = under.add(open('bad turn'))
  void under.add(open('turn'))
  const undo = under.after(() => open('undo'))
  const again = under.after(() => open('undo again'))
  ends[1]?.()
  await Promise.resolve()
  expect(ends).toHaveLength(2)
  ends[0]?.()
  await expect(first).rejects.toThrow('bad turn')
  await expect.poll(() => ends.length).toBe(3)
  ends[2]?.()
  await undo
  await expect.poll(() => ends.length).toBe(4)
  ends[3]?.()
  await again
  expect(done).toEqual(['turn', 'bad turn', 'undo', 'undo again'])
})
