// Where things of the hall fall in the camera's picture. Metres: x right, y down the ice, z up.

export interface Point3 {
  readonly x: number
  readonly y: number
  readonly z: number
}

export interface View {
  readonly from: Point3
  /** Degrees to the right of straight down the ice. */
  readonly yaw: number
  /** Degrees up of level. */
  readonly pitch: number
  /** Horizontal angle of view in degrees. */
  readonly angle: number
  readonly width: number
  readonly height: number
}

const NEAR = 0.2

interface InView {
  readonly right: number
  readonly up: number
  readonly ahead: number
}

function seenFrom(view: View): (p: Point3) => InView {
  const yaw = (view.yaw * Math.PI) / 180
  const pitch = (view.pitch * Math.PI) / 180
  const [sy, cy, sp, cp] = [Math.sin(yaw), Math.cos(yaw), Math.sin(pitch), Math.cos(pitch)]
  return (p) => {
    const [dx, dy, dz] = [p.x - view.from.x, p.y - view.from.y, p.z - view.from.z]
    const level = dx * sy + dy * cy
    return { right: dx * cy - dy * sy, ahead: level * cp + dz * sp, up: dz * cp - level * sp }
  }
}

/** Cuts off what lies behind the camera. */
function inFront(points: readonly InView[]): InView[] {
  const kept: InView[] = []
  points.forEach((a, i) => {
    const b = points[(i + 1) % points.length] ?? a
    if (a.ahead >= NEAR) kept.push(a)
    if (a.ahead >= NEAR !== b.ahead >= NEAR) {
      const t = (NEAR - a.ahead) / (b.ahead - a.ahead)
      kept.push({ right: a.right + t * (b.right - a.right), up: a.up + t * (b.up - a.up), ahead: NEAR })
    }
  })
  return kept
}

/** A flat shape as SVG points in the picture; empty when it is behind the camera. */
export function project(view: View, shape: readonly Point3[]): string {
  const see = seenFrom(view)
  const focal = view.width / 2 / Math.tan((view.angle * Math.PI) / 360)
  return inFront(shape.map(see))
    .map(
      (p) =>
        `${(view.width / 2 + (p.right / p.ahead) * focal).toFixed(1)},${(view.height / 2 - (p.up / p.ahead) * focal).toFixed(1)}`,
    )
    .join(' ')
}
