import { describe, expect, it } from 'vitest'
import type { Job } from '../shared/api/types'
import { stagesOf } from './stages'

const device = (id: number, more: object = {}) => ({
  id,
  networked: true,
  address: `10.0.0.${id}`,
  found: '',
  paints: false,
  ...more,
})
const line = (cameraId: number, proved = 0, toProve = 0) => ({ cameraId, proved, toProve })
const stop = (
  code: string,
  discipline: string,
  deviceIds: readonly number[],
  waiver: object | null = null,
) => ({
  code,
  severity: 'stop',
  discipline,
  deviceIds,
  waiver,
})
const job = (more: object) =>
  ({ lines: [], devices: [], findings: [], ranges: [], runs: [], ...more }) as unknown as Job
const count = (of: Job, path: string) => stagesOf(of).find((s) => s.path === path)?.count

describe('stages', () => {
  it.each([
    ['an empty job', job({}), 'addresses', '0 of 0 sound'],
    ['an empty job', job({}), 'kit', '0 devices'],
    ['one device', job({ devices: [device(1)] }), 'kit', '1 device'],
    [
      'a device that is on no network',
      job({ devices: [device(1, { networked: false })] }),
      'addresses',
      '0 of 0 sound',
    ],
    [
      'a stop against one of two',
      job({ devices: [device(1), device(2)], findings: [stop('ADDR-DUP', 'addresses', [1])] }),
      'addresses',
      '1 of 2 sound',
    ],
    [
      'a stop that was waived',
      job({ devices: [device(1)], findings: [stop('ADDR-DUP', 'addresses', [1], {})] }),
      'addresses',
      '1 of 1 sound',
    ],
    [
      'a stop about something else',
      job({ devices: [device(1)], findings: [stop('POE-OVER', 'cabling', [1])] }),
      'addresses',
      '1 of 1 sound',
    ],
    [
      'one found where it should be, one elsewhere, and one that is no camera',
      job({
        lines: [line(1), line(2)],
        devices: [
          device(1, { found: '10.0.0.1' }),
          device(2, { found: '10.0.0.9' }),
          device(3, { found: '10.0.0.3' }),
        ],
      }),
      'bring-up',
      '1 of 2 set',
    ],
    [
      'one that has no address and was found nowhere',
      job({ lines: [line(1)], devices: [device(1, { address: '' })] }),
      'bring-up',
      '0 of 1 set',
    ],
    [
      'one that has no address and answered over its lead',
      job({ lines: [line(1)], devices: [device(1, { address: '', mark: 'set' })] }),
      'bring-up',
      '1 of 1 set',
    ],
    ['tests of two lines', job({ lines: [line(1, 3, 8), line(2, 0, 7)] }), 'prove', '3 of 15 proved'],
    ['nothing late', job({}), 'shots', 'none late'],
    ['a view that comes late', job({ findings: [stop('SHOT-LATE', 'shots', [])] }), 'shots', '1 late'],
  ] as const)('%s: %s', (_, of, path, words) => expect(count(of, path)).toBe(words))
})
