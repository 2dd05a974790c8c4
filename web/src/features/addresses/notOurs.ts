import type { Job, Subnet } from '../../shared/api/types'
import { hostNumber } from './rulerScale'

/** Host numbers from first to last, both included, and what they are. */
export interface Span {
  readonly first: number
  readonly last: number
  readonly what: string
  readonly label: string
}

interface Stretch {
  readonly first: string
  readonly last: string
  readonly what: string
}

/** Those that lie within the subnet. */
export function spans(subnet: Subnet, stretches: readonly Stretch[]): Span[] {
  return stretches.flatMap((s) => {
    const first = hostNumber(subnet, s.first)
    const last = hostNumber(subnet, s.last)
    return first === undefined || last === undefined
      ? []
      : [{ first, last, what: s.what, label: `${s.first} to ${s.last}` }]
  })
}

/** What the house has in one of its networks; this laptop too, unless it is in the kit itself. */
export function notOurs(job: Job, subnet: Subnet) {
  const of = (use: string, what: (holder: string) => string) =>
    job.ranges.filter((r) => r.use === use).map((r) => ({ ...r, what: what(r.holder) }))
  const home = subnet.laptopHome
  const ours = job.devices.some((d) => d.sort === 'laptop' && d.address === home)
  const laptop = ours ? [] : [{ first: home, last: home, what: 'the technician’s laptop' }]
  return {
    pools: spans(
      subnet,
      of('pool', () => 'DHCP pool'),
    ),
    kept: spans(
      subnet,
      of('reserved', () => 'kept back'),
    ),
    taken: spans(subnet, [...of('taken', (holder) => holder || 'taken by others'), ...laptop]),
  }
}
