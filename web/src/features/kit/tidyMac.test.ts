import { describe, expect, it } from 'vitest'
import { tidyMac } from './tidyMac'

describe('a MAC from a label', () => {
  it.each([
    ['02-4A-20-00-00-01', '02:4a:20:00:00:01'],
    [' 024a.2000.0001 ', '02:4a:20:00:00:01'],
    ['024A20000001', '02:4a:20:00:00:01'],
    ['02:4a:20:00:00:01', '02:4a:20:00:00:01'],
    ['02:4a:20:00:00', '02:4a:20:00:00'],
    ['on the other side', 'on the other side'],
    ['', ''],
  ])('%s becomes %s', (typed, tidy) => expect(tidyMac(typed)).toBe(tidy))
})
