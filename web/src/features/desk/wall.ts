/** What the wall shows. */
export type WallSize = 'off' | 'four' | 'all'

const NEXT: Readonly<Record<WallSize, WallSize>> = { off: 'four', four: 'all', all: 'off' }

export const nextWall = (now: WallSize): WallSize => NEXT[now]

/** Of all cameras in the order of their keys, those that stand on the wall: four are the taken one's group of four. */
export function onWall<C extends { readonly id: number }>(
  cameras: readonly C[],
  size: WallSize,
  taken: number,
): readonly C[] {
  if (size === 'off') return []
  if (size === 'all') return cameras
  const at = Math.max(
    0,
    cameras.findIndex((c) => c.id === taken),
  )
  const first = Math.floor(at / 4) * 4
  return cameras.slice(first, first + 4)
}
