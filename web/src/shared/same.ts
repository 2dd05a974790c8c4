/**
 * Two values that say the same: what shows the one need not be drawn again for the other. Lists and
 * plain things are gone through; anything else (a date, a map, a function) is the same as itself only.
 */
export function sameData(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true
  if (Array.isArray(a)) {
    return Array.isArray(b) && a.length === b.length && a.every((one, i) => sameData(one, b[i]))
  }
  if (!isPlain(a) || !isPlain(b)) return false
  const names = Object.keys(a)
  return (
    names.length === Object.keys(b).length &&
    names.every((name) => Object.hasOwn(b, name) && sameData(a[name], b[name]))
  )
}

function isPlain(value: unknown): value is Readonly<Record<string, unknown>> {
  return typeof value === 'object' && value !== null && Object.getPrototypeOf(value) === Object.prototype
}
