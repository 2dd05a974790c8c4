/** A matter in which practitioners differ: its ways, and when each fits. */
export interface Matter {
  readonly field: string
  readonly title: string
  readonly ways: Readonly<Record<string, string>>
  readonly fits: Readonly<Record<string, string>>
}

export const matters: readonly Matter[] = [
  {
    field: 'schoolAddresses',
    title: 'Addresses',
    ways: {
      static: 'static, by hand',
      reservation: 'static, reserved at the router too',
      lease: 'leases, found by a search',
    },
    fits: {
      static: 'Fits most: nothing depends on the house, and a label tells the truth.',
      reservation: 'Fits where you may change the router: a reset camera comes back to its place.',
      lease: 'Fits many rooms with controllers that search; counting controllers need the first.',
    },
  },
  {
    field: 'schoolReach',
    title: 'Reaching a new device',
    ways: {
      hop: 'the laptop changes its address',
      'second-address': 'the laptop takes a second address',
      lease: 'the device takes a lease',
      search: 'a search finds it',
      'pairing-code': 'it is paired by a code',
      'switch-port': 'one switch port at a time',
    },
    fits: {
      hop: 'Fits when one person works and the laptop serves nobody else.',
      'second-address': 'Fits when this program runs on the laptop and others use it.',
      lease: 'Fits ceiling cameras with a remote or a menu in the picture.',
      'pairing-code': 'Fits devices with a display or a label that shows a code.',
      search: 'Fits one subnet without a router between, and profiles that answer.',
      'switch-port': 'Fits cameras that are mounted and plugged already.',
    },
  },
  {
    field: 'schoolWiring',
    title: 'Control wiring',
    ways: { mixed: 'as each camera allows', ip: 'IP', 'rs-232': 'RS-232 chain', 'rs-485': 'RS-485 bus' },
    fits: {
      mixed: 'Fits grown houses: old cameras stay on their chain.',
      ip: 'Fits new houses: one lead, replies, no chain that breaks.',
      'rs-232': 'Fits up to seven cameras within 15 m a hop.',
      'rs-485': 'Fits long runs to domes; polarity and terminators matter.',
    },
  },
  {
    field: 'schoolFilling',
    title: 'Filling a controller',
    ways: {
      mixed: 'as each controller allows',
      'web-page': 'on its web page',
      panel: 'typing at the panel',
      search: 'search and assign',
      counting: 'counting up from the first',
    },
    fits: {
      mixed: 'Fits more than one sort of controller.',
      'web-page': 'Fits when the laptop reaches it: fewest slips.',
      panel: 'Fits the last minute; goes by letter modes, so keep passwords plain to type.',
      search: 'Fits one subnet; mind that some hand out new addresses.',
      counting: 'Fits gapless addresses in key order.',
    },
  },
  {
    field: 'schoolPower',
    title: 'Power',
    ways: {
      mixed: 'as each camera allows',
      poe: 'over Ethernet',
      local: 'a supply beside each',
      'over-the-run': 'DC over the run',
      battery: 'batteries',
    },
    fits: {
      mixed: 'Fits mixed kit.',
      poe: 'Fits ceiling cameras within 100 m of a switch with budget to spare.',
      local: 'Fits heads with heavy lenses, where a socket is near. Mains is work for licensed people.',
      'over-the-run': 'Fits domes on spare pairs; the volts at the far end decide.',
      battery: 'Fits an hour on a shoulder; mind transport rules.',
    },
  },
  {
    field: 'schoolFocus',
    title: 'Focus',
    ways: { locked: 'locked by hand', auto: 'continuous auto', tracking: 'tracking' },
    fits: {
      locked: 'Fits fixed distances: nothing hunts on air.',
      auto: 'Fits faces in good light.',
      tracking: 'Fits one speaker; somebody must always be able to take over.',
    },
  },
  {
    field: 'schoolStick',
    title: 'Stick',
    ways: { progressive: 'progressive, full range', linear: 'linear' },
    fits: {
      progressive: 'Fits sport and long lenses: small deflections creep. The desk bends its curve so.',
      linear: 'Fits people who come from other sticks; set a low limit at the desk.',
    },
  },
  {
    field: 'schoolAccess',
    title: 'Access',
    ways: { direct: 'direct to each camera', 'through-recorder': 'through the recorder' },
    fits: {
      direct: 'Fits production: least delay, one fault less.',
      'through-recorder': 'Fits security networks, where only the recorder is reachable.',
    },
  },
  {
    field: 'schoolPresets',
    title: 'Presets',
    ways: {
      mixed: 'as each device allows',
      camera: 'in the camera',
      controller: 'in the controller',
      software: 'in software',
    },
    fits: {
      mixed: 'Fits mixed kit; the preset map says where each lives.',
      camera: 'Fits several controllers; a reset camera loses them.',
      controller: 'Fits one desk; a swapped controller loses them.',
      software: 'Fits shows that are rebuilt each time; back the project up.',
    },
  },
]
