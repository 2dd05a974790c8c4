import type { ToldView } from '../../shared/api/types'
import type { Readings } from './knobs'
import { valueWords } from './knobs'

/** What a camera says of how it hangs, and which axes it turns round itself because of it. */
export interface Orientation {
  readonly pan: boolean
  readonly tilt: boolean
  /** One sentence; empty for a camera that cannot be asked. */
  readonly words: string
}

const axes = { pan: 'pan', tilt: 'tilt', both: 'pan and tilt' } as const
const isAxis = (turns: string): turns is keyof typeof axes => turns in axes

export function orientation(view: ToldView | undefined, read: Readings = {}): Orientation {
  const knob = view?.knobs.find((k) => k.choices.some((c) => c.turns !== ''))
  if (!view || !knob) return { pan: false, tilt: false, words: '' }
  const value = read[knob.name]?.value
  if (typeof value !== 'number')
    return { pan: false, tilt: false, words: `What the ${knob.name} of ${view.name} stands at was not read.` }
  const turns = knob.choices.find((c) => c.value === value)?.turns ?? ''
  const stands = `At the camera: ${knob.name} is ${valueWords(knob, value)}, so it turns`
  return isAxis(turns)
    ? { pan: turns !== 'tilt', tilt: turns !== 'pan', words: `${stands} ${axes[turns]} round itself.` }
    : { pan: false, tilt: false, words: `${stands} nothing round.` }
}
