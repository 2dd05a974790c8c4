import { describe, expect, it } from 'vitest'
import type { Facts } from './profileSchema'
import { sayingLine } from './sayingLine'

describe('one way to say a knob', () => {
  it.each<readonly [string, Facts, string]>([
    ['a standard message', { in: 'visca', message: 'red-gain' }, 'visca  red-gain'],
    ['a frame', { in: 'visca', frame: '8x 01 7E 22 0p FF' }, 'visca  8x 01 7E 22 0p FF'],
    ['a key', { in: 'panel-link', key: 'iris' }, 'panel-link  iris'],
    [
      'a request with a body',
      { in: 'http', request: { method: 'POST', path: '/lens', body: 'glow={value}' } },
      'http  POST /lens glow={value}',
    ],
    ['one that is only begun', {}, ''],
  ])('%s', (_, saying, line) => {
    expect(sayingLine(saying)).toBe(line)
  })
})
