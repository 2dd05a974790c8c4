import type { Changes, Edit, Job } from './types'

/** A change set of edits only. */
export function editing(...edits: Edit[]): Changes {
  return { adds: [], edits, removes: [] }
}

/** One new item. */
export function adding(item: string, values: Readonly<Record<string, string>>): Changes {
  return { adds: [{ item, id: -1, values: { ...values } }], edits: [], removes: [] }
}

/** What a person's part in the job lets them do. */
export function rights(job: Pick<Job, 'role'>) {
  const plan = job.role === 'lead' || job.role === 'technician'
  return { plan, drive: plan || job.role === 'operator', manage: job.role === 'lead' }
}

/** What whoever drives may change beside those who plan. */
const DRIVEN = new Set(['preset', 'shot-list', 'take'])

/** May items of this kind be changed by a person of this part? */
export function mayChange(job: Pick<Job, 'role'>, item: string): boolean {
  const { plan, drive } = rights(job)
  return plan || (drive && DRIVEN.has(item))
}

/** May this person make all of these changes? */
export function mayAll(job: Pick<Job, 'role'>, { adds, edits, removes }: Changes): boolean {
  return [...adds, ...edits, ...removes].every(({ item }) => mayChange(job, item))
}

/** The item an edit goes to, as one word; two edits of one field have the same. */
export function target(edit: Pick<Edit, 'item' | 'id' | 'field'>): string {
  return `${edit.item} ${edit.id} ${edit.field}`
}
