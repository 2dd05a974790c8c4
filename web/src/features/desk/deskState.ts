import type { FromServer, Frame, Position } from './messages'

const FRAMES_SHOWN = 60

/** What the desk knows of the camera it drives. */
export interface DeskState {
  readonly connected: boolean
  readonly taken: number
  readonly position: Position | undefined
  readonly trouble: string
  readonly stopped: string
  /** A stop that was sent and not seen done: why it was sent; empty when there is none. */
  readonly notSeenStopped: string
  readonly frames: readonly Frame[]
}

export const NOTHING_YET: DeskState = {
  connected: false,
  taken: 0,
  position: undefined,
  trouble: '',
  stopped: '',
  notSeenStopped: '',
  frames: [],
}

export type DeskEvent =
  | FromServer
  | { readonly type: 'connected' }
  | { readonly type: 'lost' }
  | { readonly type: 'driving' }
  | { readonly type: 'taking' }

/** A head at rest reports the same ten times a second; nothing is drawn anew for that. */
function unchanged(state: DeskState, next: Position): boolean {
  const now = state.position
  return (
    state.trouble === '' &&
    now?.camera === next.camera &&
    now.panCounts === next.panCounts &&
    now.tiltCounts === next.tiltCounts &&
    now.zoomCounts === next.zoomCounts
  )
}

export function after(state: DeskState, event: DeskEvent): DeskState {
  switch (event.type) {
    case 'connected':
      return { ...state, connected: true, trouble: '' }
    case 'lost':
      return {
        ...state,
        connected: false,
        taken: 0,
        trouble:
          'The desk has lost the server. What moved is stopped by the server within 0.3 s; connecting again …',
      }
    case 'driving':
      return state.stopped === '' && state.notSeenStopped === ''
        ? state
        : { ...state, stopped: '', notSeenStopped: '' }
    case 'taking':
      return { ...state, taken: 0, position: undefined, trouble: '' }
    case 'taken':
      return {
        ...state,
        taken: event.camera,
        position: undefined,
        trouble: '',
        stopped: '',
        notSeenStopped: '',
        frames: [],
      }
    case 'refused':
    case 'released':
      return { ...state, taken: 0, position: undefined, trouble: event.reason }
    case 'trouble':
      return { ...state, trouble: event.reason }
    case 'position':
      return event.camera !== state.taken || unchanged(state, event)
        ? state
        : { ...state, position: event, trouble: '' }
    case 'stopped':
      if (event.blind) {
        return {
          ...state,
          stopped: `Told to stop three times (${event.why}); it tells nothing back, so look at it`,
          notSeenStopped: '',
        }
      }
      return event.standing
        ? { ...state, stopped: `Stopped and seen standing still (${event.why})`, notSeenStopped: '' }
        : { ...state, stopped: '', notSeenStopped: event.why }
    case 'frames':
      return { ...state, frames: [...event.frames, ...state.frames].slice(0, FRAMES_SHOWN) }
  }
}
