/** "6 ceiling ptz": how many, and words that find the profile. */
export interface HowMany {
  readonly count: number
  readonly words: readonly string[]
}

/** A number in front is how many, with or without an x; without one it is one. */
export function howMany(typed: string): HowMany {
  const match = /^\s*(\d{1,3})\s*(?:[x×]\s*)?(?:\s(.*))?$/i.exec(typed)
  const rest = match ? (match[2] ?? '') : typed
  const words = rest.trim().toLowerCase().split(/\s+/).filter(Boolean)
  return { count: match ? Number(match[1]) : 1, words }
}

/** Every word stands somewhere in the text. */
export const fits = (words: readonly string[], text: string) => {
  const hay = text.toLowerCase()
  return words.every((w) => hay.includes(w))
}

/** What fits, and first what begins with the first word: "shoulder" means the camera, not its adapter. */
export function found<T extends { readonly name: string; readonly sort: string; readonly kind: string }>(
  all: readonly T[],
  words: readonly string[],
): readonly T[] {
  const begins = (p: T) => p.name.toLowerCase().startsWith(words[0] ?? '')
  const fitting = all.filter((p) => fits(words, `${p.name} ${p.sort} ${p.kind}`))
  return [...fitting.filter(begins), ...fitting.filter((p) => !begins(p))]
}
