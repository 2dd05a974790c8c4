import { expect, it } from 'vitest'
import { missed } from './missed'

const told = [
  { ago: 50, version: 7, part: 'plan' },
  { ago: 900, version: 0, part: 'desk' },
  { ago: 30_000, version: 0, part: 'hall' },
]

it.each([
  [100, 60_000, ['plan']],
  [800, 60_000, ['plan', 'desk']],
  [29_800, 60_000, ['plan', 'desk', 'hall']],
  // Its line to the database was cut, or it began, since the page read the job.
  [800, 500, ['']],
  [0, 0, ['']],
  [65_000, 60_000, ['']],
])('not heard for %d ms, of a server that listens for %d ms: looks at %j', (millis, listened, parts) => {
  expect(missed({ listened, told }, millis).map((m) => m.part)).toEqual(parts)
})
