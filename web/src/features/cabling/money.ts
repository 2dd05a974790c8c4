/** Hundredths as an amount: 120 is 1.20. */
export function money(value: number): string {
  return (value / 100).toFixed(2)
}

/** An amount as hundredths; what is no amount stays as typed, to be refused where it stands. */
export function hundredths(typed: string): string {
  const m = /^(\d{1,6})(?:[.,](\d{1,2}))?$/.exec(typed.trim())
  if (!m) return typed.trim()
  return String(Number(m[1]) * 100 + Number((m[2] ?? '').padEnd(2, '0')))
}
