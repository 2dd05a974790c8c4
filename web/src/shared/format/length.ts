const METRES_IN_A_FOOT = 0.3048

/** A length as the job shows it: metres, or feet, both to one decimal at most. */
export function length(metres: number | string, units: string): string {
  const value = Number(metres)
  const shown = units === 'ft' ? value / METRES_IN_A_FOOT : value
  return `${Math.round(shown * 10) / 10} ${units}`
}
