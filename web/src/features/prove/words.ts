/** What each test is called, and what a person is asked where no machine can tell. */
export const tests: readonly { readonly test: string; readonly head: string; readonly question: string }[] = [
  { test: 'link', head: 'Link', question: 'Does its link light shine at the port that is planned for it?' },
  {
    test: 'address',
    head: 'Address',
    question: 'Does it answer at its planned address, and is it this one?',
  },
  {
    test: 'key',
    head: 'Key',
    question: 'Select its key and push the stick: does this camera move, and only this?',
  },
  { test: 'moves', head: 'Moves', question: 'Drive it both ways: does it pan and tilt?' },
  {
    test: 'direction',
    head: 'Direction',
    question: 'Push right, then up: does the picture go right, then up?',
  },
  { test: 'zoom', head: 'Zoom', question: 'Zoom in and out: does it, and the right way?' },
  { test: 'focus', head: 'Focus', question: 'Focus near and far: does it, and the right way?' },
  { test: 'stop', head: 'Stop', question: 'Let the stick go: does it stand at once?' },
  {
    test: 'preset',
    head: 'Preset',
    question: 'Store, move away, recall: does it come back to the same picture?',
  },
  { test: 'iris', head: 'Iris', question: 'Open and close the iris: does the picture follow?' },
  { test: 'white-balance', head: 'White', question: 'Turn red gain a step: does the picture follow?' },
  { test: 'tally', head: 'Tally', question: 'Take it on air: does its light come on, and go out again?' },
  { test: 'input', head: 'Input', question: 'Is this its picture at that input, in the right format?' },
  { test: 'stream', head: 'Stream', question: 'Does its stream arrive, in the planned size and rate?' },
]

export const headOf = (test: string) => tests.find((t) => t.test === test)?.head ?? test

export const outcomes: readonly { readonly outcome: string; readonly says: string }[] = [
  { outcome: 'ok', says: 'Yes, it is so' },
  { outcome: 'differs', says: 'It differs' },
  { outcome: 'failed', says: 'It did not work' },
  { outcome: 'cannot-tell', says: 'I cannot tell' },
]

export const happenings: readonly { readonly what: string; readonly says: string }[] = [
  { what: 'swap', says: 'It was swapped for another of its kind' },
  { what: 'reset', says: 'It was reset' },
  { what: 'update', says: 'It got other firmware' },
  { what: 'knock', says: 'It was knocked or moved' },
]
