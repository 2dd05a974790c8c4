import type { QueryClient, QueryKey } from '@tanstack/react-query'

/** What happens at one time is told in several notices, some ten milliseconds apart: one look shows it all. */
const GATHER_MILLIS = 80
/** A change of this tab's own is heard of before its answer is here: that answer is waited for. */
const OWN_CHANGE_MILLIS = 100
/** But not for long: behind a photo that is sent over a poor line, or an answer that never comes, others work on. */
const LONGEST_WAIT_MILLIS = 1000

/** Something that may have changed. */
export interface News {
  readonly queryKey: QueryKey
  readonly exact?: boolean
  /** Whether it is shown already, asked when it is looked at. */
  readonly shown?: () => boolean
}

interface Heard extends News {
  readonly at: number
}

/** The looks of one page: what it has heard and not yet looked at, and when each read of it began. */
class Looks {
  private readonly began = new Map<string, number>()
  private heard: Heard[] = []
  private timer: ReturnType<typeof setTimeout> | undefined
  private count = 0
  private waitsSince: number | undefined

  constructor(private readonly queries: QueryClient) {
    queries.getQueryCache().subscribe((event) => {
      if (event.type === 'removed') this.began.delete(event.query.queryHash)
      else if (event.type === 'updated' && event.action.type === 'fetch')
        this.began.set(event.query.queryHash, ++this.count)
    })
  }

  hear(news: readonly News[], within: number) {
    const at = ++this.count
    this.heard.push(...news.map((n) => ({ ...n, at })))
    if (within > 0) {
      this.timer ??= setTimeout(() => this.look(), within)
    } else {
      clearTimeout(this.timer)
      this.look()
    }
  }

  /** A read that began after the news came shows it, or will: it is not asked for again. */
  private look() {
    if (this.queries.isMutating() > 0) {
      this.waitsSince ??= performance.now()
      if (performance.now() - this.waitsSince < LONGEST_WAIT_MILLIS) {
        this.timer = setTimeout(() => this.look(), OWN_CHANGE_MILLIS)
        return
      }
    }
    this.timer = undefined
    this.waitsSince = undefined
    const heard = this.heard
    this.heard = []
    for (const { queryKey, exact = false, shown, at } of heard) {
      if (shown?.()) continue
      void this.queries.invalidateQueries({
        queryKey,
        exact,
        predicate: (query) => (this.began.get(query.queryHash) ?? 0) < at,
      })
    }
  }
}

const looks = new WeakMap<QueryClient, Looks>()

/**
 * Reads anew, soon and once, what shows any of this.
 *
 * @param within milliseconds in which more is waited for; 0 for what comes alone
 */
export function lookSoon(queries: QueryClient, news: readonly News[], within = GATHER_MILLIS): void {
  const mine = looks.get(queries) ?? new Looks(queries)
  looks.set(queries, mine)
  mine.hear(news, within)
}
