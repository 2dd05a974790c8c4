import type { WireFrame } from '../../shared/api/types'

/** Frames in a row that say the same, as one line. */
export interface Fold {
  readonly first: WireFrame
  readonly last: WireFrame
  readonly times: number
}

/** A run of the same frame of the same head in the same direction folds to one line. */
export function folded(frames: readonly WireFrame[]): readonly Fold[] {
  const folds: Fold[] = []
  for (const f of frames) {
    const before = folds.at(-1)
    if (before && says(before.last) === says(f)) {
      folds[folds.length - 1] = { first: before.first, last: f, times: before.times + 1 }
    } else {
      folds.push({ first: f, last: f, times: 1 })
    }
  }
  return folds
}

/** A number that only counts up is not what a frame says. */
const says = (f: WireFrame) => `${f.device} ${f.sent} ${f.words} ${payload(f.hex)}`

/** Without the header of VISCA over UDP, whose last four octets count. */
const payload = (hex: string) => (/^0[12] [012]\d /.test(hex) ? hex.slice(24) : hex)

export interface WireFilter {
  readonly device: number
  readonly text: string
}

/** Words, octets or a head's name hold what was typed; octets with or without spaces. */
export function fits(f: WireFrame, filter: WireFilter): boolean {
  if (filter.device !== 0 && f.device !== filter.device) return false
  const text = filter.text.trim().toLowerCase()
  if (text === '') return true
  const bare = text.replaceAll(' ', '')
  return (
    f.words.toLowerCase().includes(text) ||
    f.name.toLowerCase().includes(text) ||
    f.hex.replaceAll(' ', '').toLowerCase().includes(bare)
  )
}
