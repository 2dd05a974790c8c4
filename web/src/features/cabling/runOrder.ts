import type { DrawnShape } from '../../shared/api/types'

/** Every run once, in the order it is drawn. */
export function runsInOrder(shapes: readonly Pick<DrawnShape, 'run'>[]): readonly number[] {
  return [...new Set(shapes.flatMap((s) => s.run ?? []))]
}
