import { useMemo } from 'react'
import type { Job } from './types'

/** A person's seat: in which job, and what their role lets them do there. */
export type Seat = Pick<Job, 'id' | 'role'>

/** It stays the very same while the job changes, so that a cell that needs no more is not drawn again. */
export function useSeat({ id, role }: Seat): Seat {
  return useMemo(() => ({ id, role }), [id, role])
}
