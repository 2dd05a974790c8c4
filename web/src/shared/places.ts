/** Where a camera may hang or stand. */
export const places: Readonly<Record<string, string>> = {
  '': '–',
  ceiling: 'ceiling',
  truss: 'truss',
  wall: 'wall',
  pole: 'pole',
  tripod: 'tripod',
  rail: 'rail',
  desk: 'desk',
}
