import { expect, test } from 'vitest'
import { sameData } from './same'

const act = () => undefined

test.each([
  ['copies of plain things', { id: 1, name: 'L1' }, { id: 1, name: 'L1' }, true],
  ['a part that changed', { id: 1, name: 'L1' }, { id: 1, name: 'L2' }, false],
  ['a part that came', { id: 1 }, { id: 1, name: undefined }, false],
  ['another part instead', { a: undefined }, { b: undefined }, false],
  ['an inherited part', { id: 1, toString: undefined }, { id: 1, name: undefined }, false],
  ['copies deep down', { line: { id: 1, out: ['id'] } }, { line: { id: 1, out: ['id'] } }, true],
  ['a change deep down', { line: { id: 1, out: ['id'] } }, { line: { id: 1, out: ['key'] } }, false],
  ['lists in another order', [1, 2], [2, 1], false],
  ['a longer list', [1], [1, 2], false],
  ['a list and what looks like one', [1], { 0: 1 }, false],
  ['the same function', { act }, { act }, true],
  ['functions that look the same', { act: () => 1 }, { act: () => 1 }, false],
  ['maps of the same', new Map([[1, 2]]), new Map([[1, 2]]), false],
  ['not a number both times', NaN, NaN, true],
  ['nothing and something', null, {}, false],
  ['nothing and not there', null, undefined, false],
])('%s', (_, a, b, expected) => {
  expect(sameData(a, b)).toBe(expected)
  expect(sameData(b, a)).toBe(expected)
})
