import type { Frames, FromServer, Position } from './messages'

/** What the desk knows of the camera it drives. */
export interface DeskState {
  readonly connected: boolean
  readonly taken: number
  readonly trouble: string
  /** The trouble is that the camera does not answer: over as soon as it does. */
  readonly silent: boolean
  readonly stopped: string
  /** A stop that was sent and not seen done: why it was sent; empty when there is none. */
  readonly notSeenStopped: string
  /** It was pushed and not moved, since something must be said first. */
  readonly needs: '' | 'clear' | 'on-air'
  /** A camera that somebody else drives, who can be asked for it; 0 for none. */
  readonly askable: number
  /** A camera that could not be taken, or stopped answering: its card says what to do; 0 for none. */
  readonly dark: number
  /** The camera whose driver was asked; 0 for none. */
  readonly waitingFor: number
  /** Who asks for the camera that is driven here, and how long it can still be kept. */
  readonly asked: { readonly by: string; readonly seconds: number } | undefined
  /** A steady move is on its way. */
  readonly going: boolean
  /** Its driver said that it may move on air. */
  readonly allowedOnAir: boolean
}

export const NOTHING_YET: DeskState = {
  connected: false,
  taken: 0,
  trouble: '',
  silent: false,
  stopped: '',
  notSeenStopped: '',
  needs: '',
  askable: 0,
  dark: 0,
  waitingFor: 0,
  asked: undefined,
  going: false,
  allowedOnAir: false,
}

export type DeskEvent =
  | Exclude<FromServer, Position | Frames>
  | { readonly type: 'answers' }
  | { readonly type: 'connected' }
  | { readonly type: 'lost' }
  | { readonly type: 'driving' }
  | { readonly type: 'taking' }
  | { readonly type: 'allowed' }
  | { readonly type: 'keeps' }
  | { readonly type: 'going' }

/** What was said of the last move: over when the next begins. */
const NO_WORDS = { stopped: '', notSeenStopped: '', needs: '', trouble: '', silent: false, dark: 0 } as const

function anything(state: DeskState): boolean {
  return (
    state.going || [state.stopped, state.notSeenStopped, state.needs, state.trouble].some((w) => w !== '')
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
        going: false,
        waitingFor: 0,
        asked: undefined,
        trouble:
          'The desk has lost the server. What moved is stopped by the server within 0.3 s; connecting again …',
      }
    case 'driving':
      return anything(state) ? { ...state, ...NO_WORDS, going: false } : state
    case 'going':
      return { ...state, ...NO_WORDS, going: true }
    case 'allowed':
      return { ...state, allowedOnAir: true, needs: '' }
    case 'needs':
      return {
        ...state,
        needs: event.what,
        going: false,
        allowedOnAir: state.allowedOnAir && event.what !== 'on-air',
      }
    case 'taking':
      return { ...state, taken: 0, trouble: '', dark: 0, askable: 0, waitingFor: 0, asked: undefined }
    case 'waiting':
      return { ...state, trouble: '', askable: 0, waitingFor: event.camera }
    case 'asked':
      return { ...state, asked: { by: event.by, seconds: event.seconds } }
    case 'keeps':
      return { ...state, asked: undefined }
    case 'taken':
      return {
        ...state,
        taken: event.camera,
        dark: 0,
        askable: 0,
        waitingFor: 0,
        asked: undefined,
        trouble: '',
        stopped: '',
        notSeenStopped: '',
        needs: '',
        going: false,
        allowedOnAir: false,
      }
    case 'refused':
    case 'released':
      return {
        ...state,
        taken: 0,
        going: false,
        trouble: event.reason,
        askable: event.type === 'refused' && event.askable ? event.camera : 0,
        dark: event.type === 'refused' && !event.askable ? event.camera : 0,
        waitingFor: 0,
        asked: undefined,
      }
    case 'trouble':
      return {
        ...state,
        going: false,
        trouble: event.reason,
        silent: event.silent,
        dark: event.silent ? event.camera : 0,
      }
    case 'answers':
      return state.silent ? { ...state, trouble: '', silent: false, dark: 0 } : state
    case 'stopped':
      if (event.blind) {
        return {
          ...state,
          going: state.going && event.why === 'released',
          stopped: `Told to stop three times (${event.why}); it tells nothing back, so look at it`,
          notSeenStopped: '',
        }
      }
      return event.standing
        ? {
            ...state,
            going: state.going && event.why === 'released',
            stopped: `Stopped and seen standing still (${event.why})`,
            notSeenStopped: '',
          }
        : { ...state, going: state.going && event.why === 'released', stopped: '', notSeenStopped: event.why }
  }
}
