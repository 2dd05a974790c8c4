import { useMemo } from 'react'
import { MOUNT_PITCH, SCENE, mount } from './hallScene'
import type { PositionStore } from './positions'
import { usePosition } from './positions'
import { project } from './projection'
import type { View } from './projection'

const WIDTH = 640
const HEIGHT = 360

/** What the stand-in camera of a line sees, worked out from the position read back from it. */
export function StandinPicture({
  line,
  positions,
}: {
  readonly line: number
  readonly positions: PositionStore
}) {
  const position = usePosition(positions)
  const { panDegrees, tiltDegrees, angleDegrees } = position ?? {
    panDegrees: 0,
    tiltDegrees: 0,
    angleDegrees: 60,
  }
  const shapes = useMemo(() => {
    const view: View = {
      from: mount(line),
      yaw: panDegrees,
      pitch: tiltDegrees + MOUNT_PITCH,
      angle: angleDegrees,
      width: WIDTH,
      height: HEIGHT,
    }
    return SCENE.map((s) => ({ points: project(view, s.points), fill: s.fill })).filter(
      (s) => s.points !== '',
    )
  }, [line, panDegrees, tiltDegrees, angleDegrees])
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      width="100%"
      role="img"
      aria-label={`What the stand-in of line ${line} sees`}
      style={{ display: 'block', background: '#2A3036', borderRadius: 6 }}
    >
      {position && shapes.map((s, i) => <polygon key={i} points={s.points} fill={s.fill} />)}
      {!position && (
        <text x={WIDTH / 2} y={HEIGHT / 2} textAnchor="middle" fontSize="20" fill="#E9E4D8">
          No position read yet
        </text>
      )}
    </svg>
  )
}
