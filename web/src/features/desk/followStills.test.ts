import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { followStills } from './followStills'
import { stillTurns } from './stillTurns'

beforeEach(() => {
  vi.useFakeTimers()
})

afterEach(() => {
  vi.useRealTimers()
})

/** An image, and what is told of the pictures in it. */
function followed(looked = () => true) {
  const image = Object.assign(new EventTarget(), {
    src: '',
    removeAttribute() {
      this.src = ''
    },
  }) as unknown as HTMLImageElement
  const now = { shown: false, old: false, trouble: '' }
  const end = followStills(image, '/still', 250, looked, {
    came: () => (now.shown = true),
    old: (old) => (now.old = old),
    trouble: (why) => (now.trouble = why),
  })
  return { image, now, end, comes: () => image.dispatchEvent(new Event('load')) }
}

it('asks for the next picture when one came, a while after it was asked for', async () => {
  const { image, comes, end } = followed()
  expect(image.src).toBe('/still?n=0')
  await vi.advanceTimersByTimeAsync(100)
  comes()
  await vi.advanceTimersByTimeAsync(149)
  expect(image.src).toBe('/still?n=0')
  await vi.advanceTimersByTimeAsync(1)
  expect(image.src).toBe('/still?n=1')
  end()
})

it('says that a picture is old while the next is late, takes it away when none comes, and tries again', async () => {
  const { image, now, comes, end } = followed()
  comes()
  await vi.advanceTimersByTimeAsync(3999)
  expect(now).toEqual({ shown: true, old: false, trouble: '' })
  await vi.advanceTimersByTimeAsync(1)
  expect(now.old).toBe(true)
  comes()
  expect(now.old).toBe(false)
  await vi.advanceTimersByTimeAsync(10_000)
  expect(now).toMatchObject({ trouble: 'No picture came for 10 s. It is asked for again.' })
  expect(image.src).toBe('')
  await vi.advanceTimersByTimeAsync(3000)
  expect(image.src).toBe('/still?n=3')
  comes()
  expect(now.trouble).toBe('')
  end()
})

it('asks for none while nobody looks, and none after its end', async () => {
  let looked = false
  const { image, end } = followed(() => looked)
  await vi.advanceTimersByTimeAsync(1000)
  expect(image.src).toBe('')
  looked = true
  await vi.advanceTimersByTimeAsync(250)
  expect(image.src).toBe('/still?n=0')
  end()
  await vi.advanceTimersByTimeAsync(20_000)
  expect(image.src).toBe('')
})

it('tells the age of a picture that was not looked at meanwhile, or waits for its turn', async () => {
  let looked = true
  const { now, comes, end } = followed(() => looked)
  comes()
  looked = false
  await vi.advanceTimersByTimeAsync(60_000)
  expect(now).toEqual({ shown: true, old: true, trouble: '' })
  looked = true
  await vi.advanceTimersByTimeAsync(250)
  comes()
  expect(now.old).toBe(false)
  const others = [1, 2, 3].map(() => stillTurns.want(() => undefined))
  await vi.advanceTimersByTimeAsync(4000)
  expect(now.old).toBe(true)
  others.forEach(() => stillTurns.giveBack())
  end()
})
