import { describe, expect, it } from 'vitest'
import type { BringUp, Job, StepAction } from '../../shared/api/types'
import { drawn, readable } from '../../shared/drawn.test.helper'
import { ActionList } from './ActionList'
import { RunSheetList } from './RunSheetList'
import { handWords, methodWords, shortWords } from './words'

const step = (number: number, kind: string, more: object = {}) => ({
  number,
  kind,
  device: 'L4',
  done: false,
  differs: false,
  evidence: '',
  saw: '',
  ...more,
})
const view = (current: number, ...steps: readonly object[]) => ({ current, steps }) as unknown as BringUp

describe('RunSheetList', () => {
  it.each([
    [step(1, 'plug'), '1 Connect L4'],
    [step(1, 'plug', { done: true, evidence: 'seen' }), '1 Connect L4 seen'],
    // Seen at its planned address: that is what the whole is for.
    [step(1, 'verify', { done: true, evidence: 'asked' }), '1 Verify L4 set'],
    [step(1, 'verify', { done: true, differs: true }), '1 Verify L4 differs'],
    [step(1, 'set', { differs: true }), '1 Set address L4'],
  ])('shows %j as "%s"', (one, words) => expect(readable(<RunSheetList view={view(9, one)} />)).toBe(words))

  it('marks the one step that is now', () => {
    const html = drawn(<RunSheetList view={view(2, step(1, 'plug'), step(2, 'set'), step(3, 'verify'))} />)
    expect(html.match(/aria-current="step"/g)).toHaveLength(1)
    expect(html.indexOf('aria-current')).toBeGreaterThan(html.indexOf('Connect'))
  })
})

describe('ActionList', () => {
  const job = { id: 1 } as Job
  const action = (kind: string, text: string, more: object = {}) =>
    ({ kind, text, value: '', secret: null, wantsSecret: false, ...more }) as unknown as StepAction

  it('numbers what is to do, and says aside what to do when one is not let in', () => {
    const html = drawn(
      <ActionList
        job={job}
        actions={[
          action('IF_NOT_LET_IN', 'Reset it, if it does not let you in'),
          action('TYPE', 'Type the address'),
          action('SAVE', 'Save it'),
        ]}
      />,
    )
    expect(html.match(/<li/g)).toHaveLength(2)
    expect(html.indexOf('Save it')).toBeLessThan(html.indexOf('Reset it'))
  })

  it('leads to where a password is made that is not there yet', () =>
    expect(
      drawn(<ActionList job={job} actions={[action('PASSWORD', 'Set it', { wantsSecret: true })]} />),
    ).toContain('href="/jobs/1/addresses?tab=secrets"'))

  it('is nothing for nothing', () => expect(drawn(<ActionList job={job} actions={[]} />)).toBe(''))
})

describe('words of the bring-up', () => {
  it.each([
    ['steps', shortWords],
    ['methods', methodWords],
  ])('%s are told apart', (_, words) =>
    expect(new Set(Object.values(words)).size).toBe(Object.keys(words).length),
  )

  it('the hall has a hand only for steps that there are', () =>
    expect(Object.keys(handWords).filter((k) => !(k in shortWords))).toEqual([]))
})
