/** A MAC as labels and systems write it, as six lower-case pairs with colons; anything else as it is. */
export function tidyMac(text: string): string {
  const digits = text.trim().replace(/[:.\- ]/g, '')
  if (!/^[0-9a-fA-F]{12}$/.test(digits)) return text.trim()
  return (digits.toLowerCase().match(/../g) ?? []).join(':')
}
