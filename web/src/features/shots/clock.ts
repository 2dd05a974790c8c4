const TENTHS = 10

/** Minutes and seconds of a list: "1:07.5", "0:08". */
export function clockText(seconds: number): string {
  const tenths = Math.round(seconds * TENTHS)
  const rest = (tenths % 600) / TENTHS
  const whole = Math.floor(rest)
  const part = Math.round((rest - whole) * TENTHS)
  return `${Math.floor(tenths / 600)}:${String(whole).padStart(2, '0')}${part ? `.${part}` : ''}`
}

/** "1:07.5", "67.5" or "8 s" as tenths of a second; undefined for anything else. */
export function tenthsOf(typed: string): number | undefined {
  const match = /^(?:(\d{1,4}):)?(\d{1,5})(?:[.,](\d))?\s*s?$/.exec(typed.trim())
  if (!match) return undefined
  const [, minutes, seconds, tenth] = match
  if (minutes !== undefined && Number(seconds) >= 60) return undefined
  return (Number(minutes ?? 0) * 60 + Number(seconds)) * TENTHS + Number(tenth ?? 0)
}

/** As it is stored; what is no time is sent as typed, so that the server says why not. */
export const tidyTenths = (typed: string): string => String(tenthsOf(typed) ?? typed.trim())
