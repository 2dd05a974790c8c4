const WORDS: Readonly<Record<string, string>> = {
  'pan-tilt': 'Pan, tilt',
  roll: 'Roll',
  rail: 'Rail',
  zoom: 'Zoom',
  focus: 'Focus',
  exposure: 'Exposure',
  paint: 'Paint',
  tally: 'Tally',
  tracking: 'Tracking',
  talkback: 'Talkback',
  audio: 'Sound',
}

/** A function as people call it. */
export const functionWords = (f: string): string => WORDS[f] ?? f

/** Every function in the order of the matrix and of what is stored. */
export const FUNCTIONS: readonly string[] = Object.keys(WORDS)
