/** One number or word that a calculator wants. */
export interface SumField {
  readonly key: string
  readonly words: string
  readonly unit: string
  /** What stands there at first. */
  readonly first: string
  /** What it may be, where only some will do. */
  readonly choices?: readonly string[]
}

/** One figure that comes out. */
export interface SumResult {
  readonly key: string
  readonly words: string
  readonly unit: string
  readonly digits: number
}

/** A calculator: what goes in, what comes out, and by which rule. */
export interface Sum {
  readonly name: string
  readonly title: string
  readonly formula: string
  readonly source: string
  readonly fields: readonly SumField[]
  readonly results: readonly SumResult[]
  /** What is worth seeing as a curve. */
  readonly curve?: Curve
}

/** One figure against one input, from naught to twice what stands there. */
export interface Curve {
  readonly x: string
  readonly y: string
  /** The field whose value the curve must stay above. */
  readonly least?: string
  /** Where the curve starts and ends, where that is not naught and twice the input. */
  readonly range?: readonly [number, number]
}

const field = (
  key: string,
  words: string,
  unit: string,
  first: string,
  choices?: readonly string[],
): SumField => (choices ? { key, words, unit, first, choices } : { key, words, unit, first })
const result = (key: string, words: string, unit = '', digits = 2): SumResult => ({
  key,
  words,
  unit,
  digits,
})

const GAUGES = ['12', '14', '16', '18', '20', '22', '23', '24', '26', '28']
const FORMATS = ['720p50', '1080i50', '1080p25', '1080p50', '1080p60', '2160p25', '2160p50']

export const SUMS: readonly Sum[] = [
  {
    name: 'subnet',
    title: 'Subnet',
    formula: 'network = address and mask; hosts = 2^(32 − prefix) − 2',
    source: 'IPv4, prefixes /8 to /30',
    fields: [field('cidr', 'Address and prefix', '', '10.44.8.0/24')],
    results: [
      result('network', 'Network'),
      result('mask', 'Mask'),
      result('firstHost', 'First host'),
      result('lastHost', 'Last host'),
      result('broadcast', 'Broadcast'),
      result('hosts', 'Hosts', '', 0),
    ],
  },
  {
    name: 'poe-run',
    title: 'PoE run',
    formula: 'I = (V − √(V² − 4 R P)) / 2R, device volts = V − I R',
    source: 'IEEE 802.3; copper at 20 °C × (1 + 0.00393 (T − 20)); clad × 1.6, not permitted for PoE',
    fields: [
      field('watts', 'At the device', 'W', '25.5'),
      field('metres', 'Length', 'm', '60'),
      field('gauge', 'Gauge', 'AWG', '24', GAUGES),
      field('pairs', 'Pairs that carry', '', '2', ['2', '4']),
      field('volts', 'At the port', 'V', '50'),
      field('celsius', 'Cable', '°C', '20'),
      field('minDeviceVolts', 'Device needs', 'V', '42.5'),
      field('copperClad', 'Copper-clad', '', 'false', ['false', 'true']),
    ],
    curve: { x: 'metres', y: 'deviceVolts', least: 'minDeviceVolts' },
    results: [
      result('deviceVolts', 'At the device', 'V'),
      result('portWatts', 'From the port', 'W'),
      result('amps', 'Current', 'A', 3),
      result('loopOhms', 'Loop', 'ohm', 3),
    ],
  },
  {
    name: 'dc-run',
    title: 'DC run',
    formula: 'R = 2 r L / n; volts from V − P R / volts; longest at max(least, V/2)',
    source: 'Ohm; constant power. Give watts of the load at its most',
    fields: [
      field('supplyVolts', 'Supply', 'V', '24'),
      field('watts', 'Load', 'W', '10'),
      field('metres', 'Length', 'm', '42'),
      field('gauge', 'Gauge', 'AWG', '24', GAUGES),
      field('conductorsPerLeg', 'Conductors each way', '', '1'),
      field('celsius', 'Cable', '°C', '20'),
      field('minDeviceVolts', 'Load needs', 'V', '21.6'),
    ],
    curve: { x: 'metres', y: 'deviceVolts', least: 'minDeviceVolts' },
    results: [
      result('deviceVolts', 'At the load', 'V'),
      result('dropVolts', 'Lost', 'V'),
      result('longestMetres', 'Longest that works', 'm', 1),
      result('loopOhms', 'Loop', 'ohm', 3),
    ],
  },
  {
    name: 'serial-timing',
    title: 'Serial line',
    formula: 'updates a second = baud / (15 × bits a character)',
    source: 'VISCA, lock-step: 9 octets out, 3 and 3 back; 8N1 is 10 bits',
    fields: [
      field('baud', 'Baud', '', '9600'),
      field('bitsPerCharacter', 'Bits a character', '', '10'),
      field('cameras', 'Cameras moving', '', '3'),
    ],
    curve: { x: 'cameras', y: 'perCamera', range: [1, 7] },
    results: [
      result('updatesPerSecond', 'On the line', '/s', 1),
      result('perCamera', 'For each camera', '/s', 1),
    ],
  },
  {
    name: 'coax',
    title: 'Coax length',
    formula: 'loss = a √f + b f dB in 100 m at half the link rate; longest = allowed / loss × 100 m',
    source: 'Receiver makes up for 20 dB to 3G, 40 dB above, where its profile does not say',
    fields: [
      field('cable', 'Cable', '', 'RG6', ['RG6', 'RG59', 'MINI']),
      field('format', 'Format', '', '1080p50', FORMATS),
    ],
    results: [
      result('longestMetres', 'Longest', 'm', 1),
      result('lossDbPer100m', 'Loss in 100 m', 'dB', 1),
      result('linkGbps', 'Link', 'Gb/s', 3),
    ],
  },
  {
    name: 'stream',
    title: 'Stream rate',
    formula: 'H.264: w h × 30 × 0.12 bit × (fps/30)^0.6; H.265 0.6 of it; MJPEG w h fps × 0.8 bit',
    source: 'Rule of thumb by codec; pictures take 75 % of a link at most',
    fields: [
      field('width', 'Width', 'px', '1920'),
      field('height', 'Height', 'px', '1080'),
      field('fps', 'Frames', '/s', '50'),
      field('codec', 'Codec', '', 'H264', ['H264', 'H265', 'MJPEG']),
      field('viewers', 'Viewers', '', '1'),
      field('uplinkMbps', 'Link', 'Mb/s', '100'),
    ],
    curve: { x: 'fps', y: 'streamMbps', range: [5, 60] },
    results: [result('streamMbps', 'One stream', 'Mb/s', 1), result('totalMbps', 'All', 'Mb/s', 1)],
  },
  {
    name: 'view',
    title: 'View and speed',
    formula: 'angle = 2 atan(w / 2 f); crossing = angle / pan speed',
    source: 'Geometry; a teleconverter multiplies f',
    fields: [
      field('sensorWidthMm', 'Sensor width', 'mm', '7.7'),
      field('focalMm', 'Focal length', 'mm', '96'),
      field('teleconverter', 'Teleconverter', '×', '1'),
      field('panDegPerSecond', 'Pan', '°/s', '10'),
    ],
    curve: { x: 'focalMm', y: 'angleDegrees' },
    results: [
      result('angleDegrees', 'Angle of view', '°', 1),
      result('crossingSeconds', 'Frame crossed in', 's'),
    ],
  },
  {
    name: 'travel',
    title: 'Preset travel',
    formula: 'd/v + v/a where d > v²/a, else 2 √(d/a)',
    source: 'Equal ramps up and down; add 0.5 s to settle',
    fields: [
      field('degrees', 'Way', '°', '120'),
      field('topDegPerSecond', 'Top speed', '°/s', '60'),
      field('accelDegPerSecond2', 'Acceleration', '°/s²', '120'),
    ],
    curve: { x: 'degrees', y: 'seconds' },
    results: [result('seconds', 'Takes', 's')],
  },
  {
    name: 'stick',
    title: 'Stick law',
    formula: "x' = (|x| − d) / (1 − d); y = limit × (e^(k x') − 1) / (e^k − 1), k = 0 is linear",
    source: 'Response of the desk; steps rounded half up, never 0 outside the dead zone',
    fields: [
      field('x', 'Stick', '−1 to 1', '0.5'),
      field('deadZone', 'Dead zone', '', '0.08'),
      field('k', 'Curve', 'k', '3'),
      field('limit', 'Limit', '', '1'),
      field('steps', 'Steps', '', '24'),
    ],
    curve: { x: 'x', y: 'y', range: [0, 1] },
    results: [result('y', 'Speed', 'of full', 3), result('step', 'Step', '', 0)],
  },
  {
    name: 'balance',
    title: 'Balance',
    formula: 'centre = Σ m x / Σ m; shift = −centre',
    source: 'Masses and places from the tilt axis, towards the front; the plate moves either way',
    fields: [
      field('parts', 'Parts, g at mm', '', '1200 at -18, 380 at 62'),
      field('travelMm', 'Plate travel', 'mm', '35'),
    ],
    results: [result('centreMm', 'Centre', 'mm', 1), result('shiftMm', 'Shift the plate by', 'mm', 1)],
  },
  {
    name: 'late',
    title: 'Overshoot by delay',
    formula: 'v × (control + picture delay) + v² / 2a',
    source: 'What the head goes on after the stick is let go',
    fields: [
      field('degPerSecond', 'Speed', '°/s', '30'),
      field('oneWayMs', 'Control delay', 'ms', '80'),
      field('pictureMs', 'Picture delay', 'ms', '120'),
      field('accelDegPerSecond2', 'Braking', '°/s²', '120'),
    ],
    curve: { x: 'degPerSecond', y: 'degrees' },
    results: [result('degrees', 'Goes on', '°', 1)],
  },
]

const TEXTS = new Set(['cidr', 'cable', 'format', 'codec'])

/** What was typed as the calculator's input; a field left empty takes its default. */
export function bodyOf(sum: Sum, typed: Readonly<Record<string, string>>): Record<string, unknown> {
  const body: Record<string, unknown> = {}
  for (const f of sum.fields) {
    const text = (typed[f.key] ?? f.first).trim()
    if (text === '') continue
    if (TEXTS.has(f.key)) body[f.key] = text
    else if (f.key === 'parts') body[f.key] = partsOf(text)
    else if (f.key === 'copperClad') body[f.key] = text === 'true'
    else body[f.key] = numberOf(text)
  }
  return body
}

/** Masses and places, as "1200 at -18, 380 at 62"; what is none is sent as it is. */
function partsOf(text: string): unknown {
  const parts = text
    .split(/[,;]\s*/)
    .map((part) => /^(\d+(?:\.\d+)?)\s*(?:g\s*)?at\s*(-?\d+(?:\.\d+)?)$/.exec(part.trim()))
  return parts.every((p) => p !== null)
    ? parts.map((p) => ({ grams: Number(p[1]), offsetMm: Number(p[2]) }))
    : text
}

/** Where a curve is worked out: evenly, with what stands in the field among them. */
export function pointsOf(curve: Curve, at: number): readonly number[] {
  const [from, to] = curve.range ?? [0, at > 0 ? at * 2 : 1]
  const whole = curve.range !== undefined && to - from > 2 && Number.isInteger(from)
  const count = whole ? Math.min(24, to - from) : 24
  const even = Array.from({ length: count + 1 }, (_, i) => from + ((to - from) * i) / count)
  // Naught divides where a length stands below the line: start a hair above.
  const points = curve.range ? even : even.map((x) => (x === 0 ? to / 1000 : x))
  return [...new Set(at >= from && at <= to ? [...points, at] : points)].sort((a, b) => a - b)
}

/** A number; text that is none is sent as it is, and refused at its place. */
function numberOf(text: string): number | string {
  const value = Number(text.replace(',', '.'))
  return Number.isFinite(value) ? value : text
}

/** A figure as it is read: rounded, with its unit; nothing where there is no such figure. */
export function shown(r: SumResult, value: unknown): string {
  if (value === null || value === undefined) return 'none'
  if (typeof value !== 'number') return typeof value === 'string' ? value : JSON.stringify(value)
  return `${value.toFixed(r.digits)}${r.unit ? ` ${r.unit}` : ''}`
}
