/** The kinds of lines, in words. */
export const kinds: Readonly<Record<string, string>> = {
  change: 'changed',
  undo: 'taken back',
  redo: 'done again',
  event: 'happened',
  note: 'noted',
  people: 'people',
  file: 'the job',
}
