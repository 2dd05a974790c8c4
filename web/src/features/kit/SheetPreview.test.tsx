import { describe, expect, it } from 'vitest'
import type { SheetView } from '../../shared/api/types'
import { readable } from '../../shared/drawn.test.helper'
import { SheetPreview } from './SheetPreview'

const good = (line: number, count: number, name = '') => ({
  line,
  count,
  profile: 'ceiling-ptz',
  name,
  values: { firmware: '2.1', address: '', condition: 'used' },
})
const seen = (goods: readonly object[], bad: readonly object[]) =>
  ({ good: goods, bad }) as unknown as SheetView

describe('SheetPreview', () => {
  it.each([
    [
      [],
      '1 row is left out: row 3, x;y : no such profile',
      [{ line: 3, text: 'x;y', reason: 'no such profile' }],
    ],
    [[good(2, 4)], 'adds 4 ceiling-ptz worked out', []],
    [[good(2, 0, 'L4')], 'changes L4 ceiling-ptz L4', []],
    [[good(2, 1, 'L4')], '2.1, used', []],
  ])('of %j says "%s"', (goods, words, bad) =>
    expect(readable(<SheetPreview seen={seen(goods, bad)} />)).toContain(words),
  )

  it('draws a hundred rows and counts the others', () => {
    const many = Array.from({ length: 250 }, (_, i) => good(i + 2, 1, `L${i}`))
    const words = readable(<SheetPreview seen={seen(many, [])} />)
    expect(words).toContain('and 150 more rows like these.')
    expect(words).toContain('L99')
    expect(words).not.toContain('L100')
  })
})
