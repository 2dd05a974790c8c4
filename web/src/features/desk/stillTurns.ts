/**
 * Pictures that are fetched at once by one page: a browser keeps few lines to a server open, and stop, knobs and
 * positions go over the same.
 */
export class Turns {
  private free: number
  private readonly waiting: (() => void)[] = []

  constructor(atOnce: number) {
    this.free = atOnce
  }

  /** Calls when it is its turn; whoever was called gives the turn back. Call what comes back to want it no more. */
  want(go: () => void): () => void {
    if (this.free > 0) {
      this.free--
      go()
      return () => undefined
    }
    this.waiting.push(go)
    return () => {
      const at = this.waiting.indexOf(go)
      if (at >= 0) this.waiting.splice(at, 1)
    }
  }

  giveBack(): void {
    const next = this.waiting.shift()
    if (next) next()
    else this.free++
  }
}

export const stillTurns = new Turns(3)
