// Instants as the house reads them, by the job's habit and not the browser's: a day is never mistaken for a
// month.

const CLOCKS: Readonly<Record<string, Intl.DateTimeFormat>> = {
  '24-hour': new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' }),
  '12-hour': new Intl.DateTimeFormat('en-US', { hour: 'numeric', minute: '2-digit', hourCycle: 'h12' }),
}
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

/** "14:03", or "2:03 PM" in a house that counts 12 hours; empty for none. */
export const timeOfDay = (iso: string, clock = '24-hour') => {
  const format = CLOCKS[clock]
  return format ? shown(iso, format) : ''
}

/** "27 Nov 2026"; empty for none. */
export const day = (iso: string) => shown(iso, DAY)

/** "Friday 27 November 2026"; empty for none. */
export const weekday = (iso: string) => shown(iso, WEEKDAY)

/** "27 Nov 2026, 14:03"; empty for none. */
export const dayAndTime = (iso: string, clock = '24-hour') =>
  [day(iso), timeOfDay(iso, clock)].filter((w) => w !== '').join(', ')

const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec']

/**
 * A day as people type it ("27 Nov 2026", "27 november 2026", "2026-11-27") as yyyy-mm-dd; nothing for what is
 * no day, or could be two: 5/6/2026.
 */
export function dayTyped(text: string): string | undefined {
  const iso = /^(\d{4})-(\d{2})-(\d{2})$/.exec(text.trim())
  const words = /^(\d{1,2})\.? +([a-z]{3,9})\.?,? +(\d{4})$/i.exec(text.trim())
  const [year, month, date] = iso
    ? [Number(iso[1]), Number(iso[2]), Number(iso[3])]
    : words
      ? [Number(words[3]), MONTHS.indexOf((words[2] ?? '').slice(0, 3).toLowerCase()) + 1, Number(words[1])]
      : [0, 0, 0]
  const at = new Date(Date.UTC(year, month - 1, date))
  const real = month > 0 && at.getUTCMonth() === month - 1 && at.getUTCDate() === date
  return real ? at.toISOString().slice(0, 10) : undefined
}
