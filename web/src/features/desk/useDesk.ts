import { useCallback, useEffect, useReducer, useRef } from 'react'
import { NOTHING_YET, after } from './deskState'
import { CENTRE, centred } from './messages'
import type { FromServer, Stick } from './messages'

/** While the stick is off centre it is repeated this often; the server stops after 200 ms of silence. */
const BEAT_MILLIS = 50
const RECONNECT_MILLIS = 800

/** The desk's line to the server: takes cameras, sends the stick, hears positions. */
export function useDesk(job: number, limit: number) {
  const [state, dispatch] = useReducer(after, NOTHING_YET)
  const socket = useRef<WebSocket>(undefined)
  const stick = useRef<Stick>(CENTRE)
  const limitNow = useRef(limit)
  /** The camera that is wanted: taken again by itself when the line comes back. */
  const wanted = useRef(0)
  useEffect(() => {
    limitNow.current = limit
  }, [limit])

  const send = useCallback((message: object) => {
    if (socket.current?.readyState === WebSocket.OPEN) socket.current.send(JSON.stringify(message))
  }, [])

  useEffect(() => {
    let closed = false
    let again: ReturnType<typeof setTimeout> | undefined
    const connect = () => {
      const scheme = location.protocol === 'https:' ? 'wss' : 'ws'
      const ws = new WebSocket(`${scheme}://${location.host}/ws/desk`)
      socket.current = ws
      ws.onopen = () => {
        ws.send(JSON.stringify({ type: 'open', job }))
        dispatch({ type: 'connected' })
        if (wanted.current) ws.send(JSON.stringify({ type: 'take', camera: wanted.current }))
      }
      ws.onmessage = (m) => dispatch(JSON.parse(m.data as string) as FromServer)
      ws.onclose = () => {
        if (closed) return
        dispatch({ type: 'lost' })
        again = setTimeout(connect, RECONNECT_MILLIS)
      }
    }
    connect()
    return () => {
      closed = true
      clearTimeout(again)
      socket.current?.close()
    }
  }, [job])

  const push = useCallback(
    (next: Stick) => {
      const wasCentred = centred(stick.current)
      stick.current = next
      if (wasCentred && centred(next)) return
      if (!centred(next)) dispatch({ type: 'driving' })
      send({ type: 'stick', ...next, limit: limitNow.current })
    },
    [send],
  )

  useEffect(() => {
    const beat = setInterval(() => {
      if (!centred(stick.current)) send({ type: 'stick', ...stick.current, limit: limitNow.current })
    }, BEAT_MILLIS)
    // A tab that is left or hidden lets go of the stick.
    const letGo = () => push(CENTRE)
    window.addEventListener('blur', letGo)
    document.addEventListener('visibilitychange', letGo)
    return () => {
      clearInterval(beat)
      window.removeEventListener('blur', letGo)
      document.removeEventListener('visibilitychange', letGo)
    }
  }, [push, send])

  return {
    state,
    take: useCallback(
      (camera: number) => {
        wanted.current = camera
        send({ type: 'take', camera })
      },
      [send],
    ),
    push,
    home: useCallback(() => send({ type: 'home' }), [send]),
    stopAll: useCallback(() => {
      stick.current = CENTRE
      send({ type: 'stop-all' })
      send({ type: 'stick', ...CENTRE, limit: limitNow.current })
    }, [send]),
  }
}
