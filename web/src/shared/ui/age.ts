const MINUTE = 60_000
const HOUR = 60 * MINUTE
const DAY = 24 * HOUR

/** How long ago, as short as can be: "2 h"; nothing for just now. */
export function shortAge(iso: string, now: number): string {
  const ago = now - new Date(iso).getTime()
  if (ago < MINUTE) return ''
  if (ago < HOUR) return `${Math.floor(ago / MINUTE)} min`
  return ago < DAY ? `${Math.floor(ago / HOUR)} h` : `${Math.floor(ago / DAY)} d`
}

/** How long ago: "2 h ago". */
export function age(iso: string, now: number): string {
  const ago = shortAge(iso, now)
  return ago === '' ? 'just now' : `${ago} ago`
}
