import { useCallback, useEffect, useReducer, useRef, useState } from 'react'
import { NOTHING_YET, after } from './deskState'
import { CENTRE, centred } from './messages'
import type { FromServer, Stick } from './messages'
import { frameStore } from './frames'
import type { Place } from './place'
import { positionStore } from './positions'
import { stickStore } from './stickStore'

/** While the stick is off centre it is repeated this often; the server stops after 200 ms of silence. */
const BEAT_MILLIS = 50
/** A page that lives says so; the server gives a silent page's camera back after 3 s. */
const LIFE_MILLIS = 1000
const RECONNECT_MILLIS = 800

/** What ended a steady move, or kept it from beginning; not the stop of a stick that was let go before it. */
function endsAMove(event: FromServer): boolean {
  return event.type !== 'asked' && !(event.type === 'stopped' && event.why === 'released')
}

/** The desk's line to the server: takes cameras, sends the stick, hears positions. */
export function useDesk(job: number, limit: number) {
  const [state, dispatch] = useReducer(after, NOTHING_YET)
  const socket = useRef<WebSocket>(undefined)
  const limitNow = useRef(limit)
  /** The camera that is wanted: taken again by itself when the line, or the page, comes back. */
  const wanted = useRef(0)
  const taken = useRef(0)
  /** Number of the steady move that this page keeps going; 0 for none. */
  const kept = useRef(0)
  const moves = useRef(0)
  useEffect(() => {
    limitNow.current = limit
  }, [limit])

  const send = useCallback((message: object) => {
    if (socket.current?.readyState === WebSocket.OPEN) socket.current.send(JSON.stringify(message))
  }, [])

  const sendStick = useCallback(
    (stick: Stick) => {
      // A hand on the stick has the head again.
      if (!centred(stick)) kept.current = 0
      if (taken.current) send({ type: 'stick', ...stick, limit: limitNow.current })
    },
    [send],
  )

  const [stick] = useState(stickStore)
  const [positions] = useState(positionStore)
  const [frames] = useState(frameStore)
  // Told at rest too: the server says how fast a full push would be.
  useEffect(() => {
    // But not in the middle of a steady move, which a stick in the middle would end.
    if (!kept.current) sendStick(stick.now())
  }, [stick, limit, sendStick])
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
      if (event.type === 'frames') {
        frames.add(event.frames, event.leftOut)
        return
      }
      if (event.type === 'position') {
        if (event.camera !== taken.current) return
        positions.set(event)
        // One that was said to be silent is not.
        dispatch({ type: 'answers' })
        return
      }
      if (endsAMove(event)) kept.current = 0
      if (event.type === 'taken' || event.type === 'refused' || event.type === 'released')
        positions.set(undefined)
      if (event.type === 'taken') {
        taken.current = event.camera
        frames.clear()
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
        kept.current = 0
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
  }, [job, stick, positions, frames, sendStick])

  useEffect(() => {
    const beat = setInterval(() => {
      if (!centred(stick.now())) sendStick(stick.now())
      else if (kept.current) send({ type: 'keep-going', move: kept.current })
    }, BEAT_MILLIS)
    const life = setInterval(() => send({ type: 'beat' }), LIFE_MILLIS)
    // A window that loses the focus, a tab that is hidden or left: all is let go.
    const letGo = () => {
      stick.centre()
      if (!kept.current) return
      kept.current = 0
      dispatch({ type: 'driving' })
      sendStick(CENTRE)
    }
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
    frames,
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
    go: useCallback(
      (to: Place, seconds: number) => {
        kept.current = ++moves.current
        dispatch({ type: 'going' })
        send({ type: 'go', move: kept.current, ...to, seconds })
      },
      [send],
    ),
    endMove: useCallback(() => {
      kept.current = 0
      dispatch({ type: 'driving' })
      sendStick(CENTRE)
    }, [sendStick]),
    ask: useCallback(
      (camera: number) => {
        wanted.current = camera
        send({ type: 'ask', camera })
      },
      [send],
    ),
    keep: useCallback(() => {
      dispatch({ type: 'keeps' })
      send({ type: 'keep' })
    }, [send]),
    recall: useCallback((preset: number) => send({ type: 'recall', preset }), [send]),
    home: useCallback(() => send({ type: 'home' }), [send]),
    allowOnAir: useCallback(() => {
      dispatch({ type: 'allowed' })
      send({ type: 'move-on-air' })
    }, [send]),
    stopAll: useCallback(() => {
      send({ type: 'stop-all' })
      kept.current = 0
      stick.centre()
      send({ type: 'stick', ...CENTRE, limit: limitNow.current })
    }, [send, stick]),
  }
}
