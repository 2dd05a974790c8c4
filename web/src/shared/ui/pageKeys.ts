/** A key, or several, and what they do on a page. */
export type PageKey = readonly [keys: string, does: string]

/** Keys that work on every page of a job. */
export const everywhere: readonly PageKey[] = [
  ['Ctrl+K', 'jump: any device, address, key, finding or page'],
  ['[ and ]', 'previous and next stage'],
  [', and .', 'previous and next line'],
  ['Ctrl+Z', 'undo your last change'],
  ['Ctrl+Shift+Z', 'do it again'],
  ['?', 'this list'],
]
