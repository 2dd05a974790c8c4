import type { ToldView, Verb } from '../../shared/api/types'
import { valueWords } from './knobs'
import type { Readings } from './knobs'

const MENU = 'menu'

/** What goes through the menu by one of: up, down, left, right, enter, back. */
export const menuVerb = (view: Pick<ToldView, 'verbs'>, what: string): Verb | undefined =>
  view.verbs.find((v) => v.name === `${MENU} ${what}`)

/** It belongs to the menu's own pad. */
export const ofMenu = (verb: Pick<Verb, 'name'>) => verb.name.startsWith(`${MENU} `)

/** The camera says that its menu stands in its picture, and can be taken through it. */
export function menuShows(view: Pick<ToldView, 'knobs' | 'verbs'>, read: Readings): boolean {
  const knob = view.knobs.find((k) => k.name === MENU)
  const value = read[MENU]?.value
  return (
    knob !== undefined &&
    typeof value === 'number' &&
    valueWords(knob, value) === 'on' &&
    menuVerb(view, 'up') !== undefined
  )
}
