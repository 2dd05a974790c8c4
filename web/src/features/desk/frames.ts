import type { Frame } from './messages'

const SHOWN = 60
/** A head on the move is told something many times a second; nobody reads faster than this. */
const DRAWN_EVERY_MILLIS = 300

/** A frame with its place in the order of this page. */
export interface NumberedFrame extends Frame {
  readonly number: number
  /** So many went before it that this page was not told. */
  readonly leftOut: number
}

/** The last frames of the link, newest first, outside React's state: they come while somebody drives. */
export function frameStore() {
  const listeners = new Set<() => void>()
  let now: readonly NumberedFrame[] = []
  let count = 0
  let drawing: ReturnType<typeof setTimeout> | undefined

  function draw() {
    drawing = undefined
    listeners.forEach((listener) => listener())
  }

  return {
    now: () => now,
    listen: (listener: () => void) => {
      listeners.add(listener)
      return () => listeners.delete(listener)
    },
    /**
     * @param frames newest first
     * @param leftOut how many more went before them
     */
    add(frames: readonly Frame[], leftOut: number) {
      count += leftOut + frames.length
      const oldest = frames.length - 1
      const numbered = frames.map((f, i) => ({
        ...f,
        number: count - i,
        leftOut: i === oldest ? leftOut : 0,
      }))
      now = [...numbered, ...now].slice(0, SHOWN)
      drawing ??= setTimeout(draw, DRAWN_EVERY_MILLIS)
    },
    clear() {
      now = []
      draw()
    },
  }
}

export type FrameStore = ReturnType<typeof frameStore>
