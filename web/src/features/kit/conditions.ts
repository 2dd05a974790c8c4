/** Where a device comes from: what is not new is reset before site. */
export const conditions: Readonly<Record<string, string>> = {
  new: 'new',
  rental: 'rented',
  'second-hand': 'second-hand',
}
