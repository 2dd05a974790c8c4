import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { post } from './client'
import { jobKeys, resting } from './job'
import { lookSoon } from './lookSoon'
import { newKey } from './newKey'
import { ANYTHING, missed, now, since } from './missed'
import type { Changed, Hello } from './missed'
import type { Job, Present } from './types'

/** This browser tab, told from others of the same person; the same again after a reload. */
const TAB = sessionStorage.getItem('jerboa.tab') ?? newKey()
sessionStorage.setItem('jerboa.tab', TAB)
/** The server beats every 10 s; silence for this long is a lost line. */
const SILENT_MILLIS = 25_000
const HERE_MILLIS = 10_000
const RECONNECT_MILLIS = 1000
const UNSEEN_MILLIS = 10_000

/** Parts that the job itself does not show. */
const APART = new Set(['hall', 'desk', 'drivers', 'knobs'])

/** The queries that show a part of the job, beside the job itself. */
function shows(job: number, part: string) {
  const all = {
    plan: resting(job),
    log: [jobKeys.log(job)],
    people: [jobKeys.log(job), jobKeys.people(job)],
    steps: [jobKeys.log(job), jobKeys.bringUp(job), jobKeys.rig(job), jobKeys.world(job)],
    proof: resting(job),
    hall: [jobKeys.bringUp(job), jobKeys.rig(job), jobKeys.world(job)],
    world: [jobKeys.log(job), jobKeys.bringUp(job), jobKeys.rig(job), jobKeys.world(job), ['desk', job]],
    desk: [['desk', job]],
    drivers: [['desk', job]],
    knobs: [['job', job, 'readings']],
  }
  return part in all ? all[part as keyof typeof all] : Object.values(all).flat()
}

/** Hears what others do to this job, and tells them which page is open here. */
export function useLive(job: number, page: string): { readonly lost: boolean } {
  const queries = useQueryClient()
  const [lost, setLost] = useState(false)
  useEffect(() => {
    let stream: EventSource | undefined
    let again: ReturnType<typeof setTimeout> | undefined
    let silence: ReturnType<typeof setTimeout> | undefined
    let closed = false
    let heardAt = now()
    const alive = () => {
      heardAt = now()
      setLost(false)
      clearTimeout(silence)
      silence = setTimeout(reconnect, SILENT_MILLIS)
    }
    const lookAnew = (changed: Changed = ANYTHING) => {
      const shown = () => {
        const known = queries.getQueryData<Job>(jobKeys.one(job))
        return changed.version > 0 && known !== undefined && known.version >= changed.version
      }
      const beside = shows(job, changed.part).map((queryKey) => ({ queryKey, shown }))
      const plan = { queryKey: jobKeys.one(job), exact: true, shown }
      const news = APART.has(changed.part) ? beside : [...beside, plan]
      // What others plan comes alone, and is wanted at once.
      if (changed.version > 0) lookSoon(queries, news, 0)
      else lookSoon(queries, news)
    }
    const connect = () => {
      stream = new EventSource(`/api/jobs/${job}/events?tab=${TAB}`)
      stream.addEventListener('hello', (e) => {
        const unheard = since(heardAt)
        alive()
        missed(JSON.parse(e.data as string) as Hello, unheard).forEach(lookAnew)
      })
      stream.addEventListener('beat', alive)
      stream.addEventListener('presence', (e) => {
        queries.setQueryData(jobKeys.present(job), JSON.parse(e.data as string) as Present[])
      })
      stream.addEventListener('changed', (e) => {
        lookAnew(JSON.parse(e.data as string) as Changed)
      })
      stream.onerror = reconnect
    }
    const reconnect = () => {
      if (closed) return
      stream?.close()
      setLost(true)
      clearTimeout(again)
      again = setTimeout(connect, RECONNECT_MILLIS)
    }
    // A browser opens few connections to one server: a tab that nobody sees gives its own back.
    let unseen: ReturnType<typeof setTimeout> | undefined
    const seen = () => {
      clearTimeout(unseen)
      if (document.visibilityState === 'hidden') {
        unseen = setTimeout(() => {
          clearTimeout(silence)
          clearTimeout(again)
          stream?.close()
          stream = undefined
        }, UNSEEN_MILLIS)
      } else if (!stream) {
        connect()
      }
    }
    document.addEventListener('visibilitychange', seen)
    window.addEventListener('offline', reconnect)
    connect()
    return () => {
      closed = true
      document.removeEventListener('visibilitychange', seen)
      window.removeEventListener('offline', reconnect)
      clearTimeout(unseen)
      clearTimeout(again)
      clearTimeout(silence)
      stream?.close()
    }
  }, [job, queries])
  useEffect(() => {
    const here = () => {
      if (document.visibilityState !== 'visible') return
      post<Present[]>(`/api/jobs/${job}/presence`, { tab: TAB, page })
        .then((present) => queries.setQueryData(jobKeys.present(job), present))
        .catch(() => undefined)
    }
    here()
    const timer = setInterval(here, HERE_MILLIS)
    return () => clearInterval(timer)
  }, [job, page, queries])
  return { lost }
}

/** Everybody else who has this job open. */
export function useOthers(job: number): readonly Present[] {
  const present = useQuery<Present[]>({
    queryKey: jobKeys.present(job),
    queryFn: () => [],
    enabled: false,
    initialData: [],
  })
  return (present.data ?? []).filter((p) => p.tab !== TAB)
}
