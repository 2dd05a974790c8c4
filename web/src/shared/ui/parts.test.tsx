import { describe, expect, it } from 'vitest'
import { drawn, readable } from '../drawn.test.helper'
import { ConflictChoice } from './ConflictChoice'
import { RunProgress } from './RunProgress'
import { MarkLegend, StateMark } from './StateMark'
import type { Mark } from './StateMark'

const nothing = () => undefined
const MARKS: readonly Mark[] = ['planned', 'set', 'proved', 'stale', 'differs', 'stopped', 'waived']

describe('StateMark', () => {
  it('has a shape of its own for each state, beside its word', () => {
    const shapes = MARKS.map((m) => /<svg[\s\S]*<\/svg>/.exec(drawn(<StateMark mark={m} />))?.[0])
    expect(new Set(shapes).size).toBe(MARKS.length)
    expect(MARKS.map((m) => readable(<StateMark mark={m} />))).toEqual(MARKS)
  })

  it('takes what it does not know for planned', () =>
    expect(readable(<StateMark mark="of-tomorrow" />)).toBe('planned'))

  it('is explained', () => {
    const words = readable(<MarkLegend marks={MARKS} />)
    for (const m of MARKS) expect(words).toMatch(new RegExp(`${m} – \\w+`))
  })
})

describe('RunProgress', () => {
  it.each([
    [0, 0, 'beginning', 0],
    [1, 4, 'L4', 25],
    [4, 4, 'L7', 100],
  ])('%i of %i is at %s and %i %%', (done, count, doing, percent) => {
    const element = (
      <RunProgress
        doing={doing === 'beginning' ? '' : doing}
        done={done}
        count={count}
        of="addresses"
        cancelWords="Stop asking"
        onCancel={nothing}
      />
    )
    expect(readable(element)).toContain(`Now: ${doing} ${done} of ${count} addresses done Stop asking`)
    expect(drawn(element)).toContain(`aria-valuenow="${percent}"`)
  })

  it('cannot be ended twice', () =>
    expect(drawn(<RunProgress doing="" done={0} count={1} of="addresses" cancelWords="Ends" />)).toContain(
      'disabled=""',
    ))
})

describe('ConflictChoice', () => {
  it('shows both values, and "none" for an empty one', () =>
    expect(
      readable(<ConflictChoice what="Name" theirs="L4" yours="" onTheirs={nothing} onYours={nothing} />),
    ).toBe('Somebody changed this while you typed. Which one stands? Keep theirs L4 Put mine none'))
})
