import { describe, expect, it, vi } from 'vitest'
import { underWay, work } from './work'

describe('work under way', () => {
  it('shows how far it is, can be called off, and is gone at its end', async () => {
    const cancel = vi.fn()
    let tell: (share: number) => void = () => undefined
    let end: (result: string) => void = () => undefined
    const result = work('Reading', (onProgress) => {
      tell = onProgress
      return { done: new Promise<string>((resolve) => (end = resolve)), cancel }
    })
    expect(underWay()).toMatchObject([{ label: 'Reading' }])
    tell(0.5)
    expect(underWay()[0]?.share).toBe(0.5)
    underWay()[0]?.cancel()
    expect(cancel).toHaveBeenCalledOnce()
    end('read')
    expect(await result).toBe('read')
    expect(underWay()).toEqual([])
  })

  it('is gone too when it fails', async () => {
    const failing = work('Sending', () => ({
      done: Promise.reject(new Error('no')),
      cancel: () => undefined,
    }))
    await expect(failing).rejects.toThrow('no')
    expect(underWay()).toEqual([])
  })
})
