/** A number of things with its word: 1 line, 2 lines, -1 count. */
export function counted(count: number, one: string, many: string): string {
  return `${count} ${Math.abs(count) === 1 ? one : many}`
}
