/** A name that nobody else has; also where the page is not a secure context and lacks randomUUID. */
export function newKey(): string {
  const octets = crypto.getRandomValues(new Uint8Array(16))
  return Array.from(octets, (o) => o.toString(16).padStart(2, '0')).join('')
}
