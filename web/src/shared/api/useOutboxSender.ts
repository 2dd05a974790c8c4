import { useQueryClient } from '@tanstack/react-query'
import { useEffect } from 'react'
import { Refused, post, sentence } from './client'
import { showChange } from './job'
import { outbox, useOutbox } from './outbox'
import type { JobPatch } from './types'

const AGAIN_MILLIS = 1500

/** Sends what the outbox keeps of this job, in its order, as soon as the server answers again. */
export function useOutboxSender(job: number): void {
  const queries = useQueryClient()
  const waiting = useOutbox(job).some((k) => k.refusal === undefined)
  useEffect(() => {
    if (!waiting) return
    let busy = false
    const send = async () => {
      const next = outbox.next(job)
      if (busy || !next) return
      busy = true
      try {
        const view = await post<JobPatch>(`/api/jobs/${job}/changes`, next.changes, next.key)
        outbox.drop(next.key)
        await showChange(queries, view)
      } catch (error) {
        if (!(error instanceof Refused && error.silent)) {
          outbox.refuse(next.key, sentence(error), error instanceof Refused ? error.body.theirs : undefined)
        }
      } finally {
        busy = false
      }
    }
    const timer = setInterval(() => void send(), AGAIN_MILLIS)
    return () => clearInterval(timer)
  }, [job, queries, waiting])
}
