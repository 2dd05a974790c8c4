/** A standing as a sign and a word: never by colour alone. */
export const standings: Readonly<Record<string, readonly [sign: string, word: string]>> = {
  asked: ['●', 'asked'],
  seen: ['◉', 'seen'],
  told: ['◐', 'told'],
  open: ['○', 'open'],
  'cannot-tell': ['?', 'unsure'],
  differs: ['◪', 'differs'],
  failed: ['▲', 'failed'],
  stale: ['◌', 'stale'],
  'not-applicable': ['–', ''],
}
