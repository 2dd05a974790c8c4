import { useCallback, useEffect, useReducer, useRef, useState } from 'react'
import { NOTHING_YET, after } from './deskState'
import { CENTRE, centred } from './messages'
import type { FromServer, Stick } from './messages'
import { positionStore } from './positions'
import { stickStore } from './stickStore'

/** While the stick is off centre it is repeated this often; the server stops after 200 ms of silence. */
const BEAT_MILLIS = 50
/** A page that lives says so; the server gives a silent page's camera back after 3 s. */
const LIFE_MILLIS = 1000
const RECONNECT_MILLIS = 800

/** The desk's line to the server: takes cameras, sends the stick, hears positions. */
export function useDesk(job: number, limit: number) {
  const [state, dispatch] = useReducer(after, NOTHING_YET)
  const socket = useRef<WebSocket>(undefined)
  const limitNow = useRef(limit)
  /** The camera that is wanted: taken again by itself when the line, or the page, comes back. */
  const wanted = useRef(0)
  const taken = useRef(0)
  useEffect(() => {
    limitNow.current = limit
  }, [limit])

  const send = useCallback((message: object) => {
    if (socket.current?.readyState === WebSocket.OPEN) socket.current.send(JSON.stringify(message))
  }, [])

  const sendStick = useCallback(
    (stick: Stick) => {
      if (taken.current) send({ type: 'stick', ...stick, limit: limitNow.current })
    },
    [send],
  )

  const [stick] = useState(stickStore)
  const [positions] = useState(positionStore)
  // Told at rest too: the server says how fast a full push would be.
  useEffect(() => sendStick(stick.now()), [stick, limit, sendStick])
  useEffect(() => {
    const end = stick.listen((now) => {
      if (!centred(now)) dispatch({ type: 'driving' })
      sendStick(now)
    })
    return () => void end()
  }, [stick, sendStick])

  useEffect(() => {
    let closed = false
    let again: ReturnType<typeof setTimeout> | undefined
    const hear = (event: FromServer) => {
      if (event.type === 'position') {
        if (event.camera !== taken.current) return
        positions.set(event)
        // One that was said to be silent is not.
        dispatch({ type: 'answers' })
        return
      }
      if (event.type === 'taken' || event.type === 'refused' || event.type === 'released')
        positions.set(undefined)
      if (event.type === 'taken') {
        taken.current = event.camera
        // The server must know whether it is held: a held stick drives only after it was centred.
        sendStick(stick.now())
      } else if (event.type === 'refused' || event.type === 'released') {
        taken.current = 0
        stick.centre()
      } else if (event.type === 'needs' || (event.type === 'stopped' && event.why !== 'released')) {
        // It stands, or never moved: what still pushes here must be pushed anew.
        stick.centre()
      }
      dispatch(event)
    }
    const connect = () => {
      const scheme = location.protocol === 'https:' ? 'wss' : 'ws'
      const ws = new WebSocket(`${scheme}://${location.host}/ws/desk`)
      socket.current = ws
      ws.onopen = () => {
        ws.send(JSON.stringify({ type: 'open', job }))
        dispatch({ type: 'connected' })
        if (wanted.current) ws.send(JSON.stringify({ type: 'take', camera: wanted.current }))
      }
      ws.onmessage = (m) => hear(JSON.parse(m.data as string) as FromServer)
      ws.onclose = () => {
        taken.current = 0
        stick.centre()
        if (closed) return
        dispatch({ type: 'lost' })
        again = setTimeout(connect, RECONNECT_MILLIS)
      }
    }
    connect()
    return () => {
      closed = true
      clearTimeout(again)
      stick.centre()
      socket.current?.close()
    }
  }, [job, stick, positions, sendStick])

  useEffect(() => {
    const beat = setInterval(() => {
      if (!centred(stick.now())) sendStick(stick.now())
    }, BEAT_MILLIS)
    const life = setInterval(() => send({ type: 'beat' }), LIFE_MILLIS)
    // A window that loses the focus, a tab that is hidden or left: all is let go.
    const letGo = () => stick.centre()
    const shown = () => {
      if (document.visibilityState !== 'visible') letGo()
      else if (wanted.current && !taken.current) send({ type: 'take', camera: wanted.current })
    }
    window.addEventListener('blur', letGo)
    window.addEventListener('pagehide', letGo)
    document.addEventListener('visibilitychange', shown)
    return () => {
      clearInterval(beat)
      clearInterval(life)
      window.removeEventListener('blur', letGo)
      window.removeEventListener('pagehide', letGo)
      document.removeEventListener('visibilitychange', shown)
    }
  }, [stick, send, sendStick])

  return {
    state,
    stick,
    positions,
    take: useCallback(
      (camera: number) => {
        wanted.current = camera
        taken.current = 0
        positions.set(undefined)
        dispatch({ type: 'taking' })
        send({ type: 'take', camera })
      },
      [send, positions],
    ),
    home: useCallback(() => send({ type: 'home' }), [send]),
    allowOnAir: useCallback(() => {
      dispatch({ type: 'allowed' })
      send({ type: 'move-on-air' })
    }, [send]),
    stopAll: useCallback(() => {
      send({ type: 'stop-all' })
      stick.centre()
      send({ type: 'stick', ...CENTRE, limit: limitNow.current })
    }, [send, stick]),
  }
}
