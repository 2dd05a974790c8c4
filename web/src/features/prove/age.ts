const MINUTE = 60_000
const HOUR = 60 * MINUTE
const DAY = 24 * HOUR

/** How long ago, in one word: "2 h ago". */
export function age(iso: string, now: number): string {
  const ago = now - new Date(iso).getTime()
  if (ago < MINUTE) return 'just now'
  if (ago < HOUR) return `${Math.floor(ago / MINUTE)} min ago`
  return ago < DAY ? `${Math.floor(ago / HOUR)} h ago` : `${Math.floor(ago / DAY)} d ago`
}
