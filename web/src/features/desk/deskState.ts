import type { FromServer, Frame, Position } from './messages'

const FRAMES_SHOWN = 60

/** What the desk knows of the camera it drives. */
export interface DeskState {
  readonly connected: boolean
  readonly taken: number
  readonly trouble: string
  readonly stopped: string
  /** A stop that was sent and not seen done: why it was sent; empty when there is none. */
  readonly notSeenStopped: string
  /** It was pushed and not moved, since something must be said first. */
  readonly needs: '' | 'clear' | 'on-air'
  /** Its driver said that it may move on air. */
  readonly allowedOnAir: boolean
  readonly frames: readonly Frame[]
}

export const NOTHING_YET: DeskState = {
  connected: false,
  taken: 0,
  trouble: '',
  stopped: '',
  notSeenStopped: '',
  needs: '',
  allowedOnAir: false,
  frames: [],
}

export type DeskEvent =
  | Exclude<FromServer, Position>
  | { readonly type: 'answers' }
  | { readonly type: 'connected' }
  | { readonly type: 'lost' }
  | { readonly type: 'driving' }
  | { readonly type: 'taking' }
  | { readonly type: 'allowed' }

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
      return state.stopped === '' && state.notSeenStopped === '' && state.needs === ''
        ? state
        : { ...state, stopped: '', notSeenStopped: '', needs: '' }
    case 'allowed':
      return { ...state, allowedOnAir: true, needs: '' }
    case 'needs':
      return { ...state, needs: event.what, allowedOnAir: state.allowedOnAir && event.what !== 'on-air' }
    case 'taking':
      return { ...state, taken: 0, trouble: '' }
    case 'taken':
      return {
        ...state,
        taken: event.camera,
        trouble: '',
        stopped: '',
        notSeenStopped: '',
        needs: '',
        allowedOnAir: false,
        frames: [],
      }
    case 'refused':
    case 'released':
      return { ...state, taken: 0, trouble: event.reason }
    case 'trouble':
      return { ...state, trouble: event.reason }
    case 'answers':
      return state.trouble === '' ? state : { ...state, trouble: '' }
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
