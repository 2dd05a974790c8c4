import { describe, expect, it } from 'vitest'
import { readable } from '../../shared/drawn.test.helper'
import { OutOfLine } from './OutOfLine'

describe('OutOfLine', () => {
  it.each([
    [false, '7'],
    [true, '7 ≠ L5'],
  ])('out %s reads %s', (out, words) =>
    expect(
      readable(
        <OutOfLine out={out} line="L5">
          <span>7</span>
        </OutOfLine>,
      ),
    ).toBe(words),
  )
})
