// Instants as a house reads them that counts 24 hours, whatever the browser's own habit: a day is never
// mistaken for a month.

const CLOCK = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' })
const DAY = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric' })
const WEEKDAY = new Intl.DateTimeFormat('en-GB', {
  weekday: 'long',
  day: 'numeric',
  month: 'long',
  year: 'numeric',
})

const shown = (iso: string, format: Intl.DateTimeFormat) => {
  const at = new Date(iso)
  return at.getTime() > 0 ? format.format(at) : ''
}

/** "14:03"; empty for none. */
export const timeOfDay = (iso: string) => shown(iso, CLOCK)

/** "27 Nov 2026"; empty for none. */
export const day = (iso: string) => shown(iso, DAY)

/** "Friday 27 November 2026"; empty for none. */
export const weekday = (iso: string) => shown(iso, WEEKDAY)

/** "27 Nov 2026, 14:03"; empty for none. */
export const dayAndTime = (iso: string) => [day(iso), timeOfDay(iso)].filter((w) => w !== '').join(', ')
