import type { Position } from './messages'

/** A place that a head goes to: degrees, metres of a rail; roll and rail only of a head that says so. */
export interface Place {
  readonly pan: number
  readonly tilt: number
  readonly roll?: number
  readonly rail?: number
}

export function placeOf(at: Position): Place {
  return {
    pan: at.panDegrees,
    tilt: at.tiltDegrees,
    ...(at.rollDegrees === null ? {} : { roll: at.rollDegrees }),
    ...(at.railMetres === null ? {} : { rail: at.railMetres }),
  }
}

/** For a button: “10.0°, 0.0°, rail 1.20 m”. */
export function placeWords({ pan, tilt, roll, rail }: Place): string {
  return [
    `${pan.toFixed(1)}°`,
    `${tilt.toFixed(1)}°`,
    ...(roll === undefined ? [] : [`roll ${roll.toFixed(1)}°`]),
    ...(rail === undefined ? [] : [`rail ${rail.toFixed(2)} m`]),
  ].join(', ')
}
