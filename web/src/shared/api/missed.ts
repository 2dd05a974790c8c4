/** What changed in a job: its plan, with the version it has then, or something beside it. */
export interface Changed {
  readonly version: number
  readonly part: string
}

export const ANYTHING: Changed = { version: 0, part: '' }

/** What was told of the job before this page was heard, newest of each part, by how long ago. */
export interface Hello {
  /** For so long the server has missed nothing, in milliseconds. */
  readonly listened: number
  readonly told: readonly (Changed & { readonly ago: number })[]
}

/** Reads begin a moment before the page knows that it has not listened yet. */
const BEFORE_MILLIS = 200

/** By two clocks: one stands while a laptop sleeps, the other can be set. */
interface Moment {
  readonly page: number
  readonly wall: number
}

export const now = (): Moment => ({ page: performance.now(), wall: Date.now() })

/** Milliseconds since then, the longer of what the clocks say: to look once too often does no harm. */
export const since = (then: Moment): number => Math.max(performance.now() - then.page, Date.now() - then.wall)

/** What a page missed that has read the job and not listened for so many milliseconds. */
export function missed({ listened, told }: Hello, millis: number): readonly Changed[] {
  const unheard = millis + BEFORE_MILLIS
  return unheard > listened ? [ANYTHING] : told.filter((t) => t.ago <= unheard)
}
