import { describe, expect, it } from 'vitest'
import type { Job, Line, Standing } from '../../shared/api/types'
import { drawn, labels, readable } from '../../shared/drawn.test.helper'
import { standings } from '../../shared/ui/standings'
import { rowsOf } from './matrix'
import { ProveMatrix } from './ProveMatrix'
import { tests } from './words'

const NOW = Date.parse('2026-05-04T12:00:00Z')
const lines = [
  { id: 1, name: 'L1', cameraId: 11 },
  { id: 2, name: 'L2', cameraId: 12 },
] as unknown as Line[]
const job = {
  devices: [
    { id: 11, name: 'L1' },
    { id: 12, name: 'Cam-B' },
  ],
} as unknown as Job

const standing = (line: number, test: string, word: string, since = '') =>
  ({ line, name: `L${line}`, test, standing: word, since, why: '' }) as unknown as Standing

function matrix(all: readonly Standing[], chosen: readonly number[] = []) {
  return (
    <ProveMatrix
      job={job}
      rows={rowsOf(lines, all)}
      lines={new Set(chosen)}
      onLines={() => undefined}
      now={NOW}
      onOpen={() => undefined}
    />
  )
}

describe('ProveMatrix', () => {
  it('has a column for each test, and names a camera only where it is called otherwise', () => {
    const words = readable(matrix([]))
    expect(words).toBe(`Line ${tests.map((t) => t.head).join(' ')} L1 L2 Cam-B`)
  })

  it.each(Object.entries(standings))(
    '%s is a sign and a word, never a colour alone',
    (name, [sign, word]) => {
      const element = matrix([standing(1, 'key', name, '2026-05-04T09:00:00Z')])
      expect(readable(element)).toContain(`${sign} ${word}`.trim())
      expect(labels(element)).toContain(`L1 key: ${word || 'does not apply'}, 3 h ago`)
    },
  )

  it.each([
    [[], 0],
    [[1], 1],
    [[1, 2], 3],
  ])('with lines %j chosen ticks %i boxes, that of all lines with the last', (chosen, ticked) =>
    expect(drawn(matrix([], chosen)).match(/ checked=""/g) ?? []).toHaveLength(ticked),
  )
})
