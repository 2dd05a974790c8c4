/** A dotted address as its 32 bits, or undefined when it is none; for drawing only, the core judges. */
export function bits(address: string): number | undefined {
  const parts = address.split('.')
  if (parts.length !== 4) return undefined
  const octets = parts.map(Number)
  if (octets.some((o) => !Number.isInteger(o) || o < 0 || o > 255)) return undefined
  return octets.reduce((sum, o) => sum * 256 + o, 0)
}

/** 32 bits as a dotted address. */
export function dotted(bits: number): string {
  return [24, 16, 8, 0].map((shift) => Math.floor(bits / 2 ** shift) % 256).join('.')
}
