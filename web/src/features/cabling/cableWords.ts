/** Cables by the word jobs store, as people in the field call them. */
export const cableWords: Readonly<Record<string, string>> = {
  data: 'data cable',
  pair: 'twisted pair',
  serial: 'serial lead',
  dc: 'DC pair',
  'coax-rg6': 'coax RG-6',
  'coax-rg59': 'coax RG-59',
  'coax-mini': 'mini coax',
  hdmi: 'HDMI lead',
  'hdmi-active': 'HDMI lead, active',
  'usb-2': 'USB 2 lead',
  'usb-3': 'USB 3 lead',
  'usb-extender': 'USB extender',
  fibre: 'fibre',
  multicore: 'multicore',
  audio: 'audio lead',
}

export const laidWords: Readonly<Record<string, string>> = {
  indoor: 'indoors',
  conduit: 'in conduit',
  outdoor: 'outdoors',
  'rated-jacket': 'with a rated jacket',
}

export const pinWords: Readonly<Record<string, string>> = {
  '': 'not noted',
  t568a: 'T568A',
  t568b: 'T568B',
  straight: 'straight',
  cascade: 'cascade',
  'first-to-plus': 'first lead to +',
  'first-to-minus': 'first lead to −',
}

/** Those of some words that may be chosen. */
export function only(
  words: Readonly<Record<string, string>>,
  allowed: readonly string[],
): Readonly<Record<string, string>> {
  return Object.fromEntries(allowed.map((w) => [w, words[w] ?? w]))
}
