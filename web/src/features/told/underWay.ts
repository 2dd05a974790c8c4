/** What was asked for and is not answered yet: some things must not overtake it. */
export class UnderWay {
  private all: Promise<unknown> = Promise.resolve()

  add<T>(answer: Promise<T>): Promise<T> {
    this.all = Promise.allSettled([this.all, answer])
    return answer
  }

  /** Begins when all before is answered; whatever comes later waits for this. */
  after<T>(task: () => Promise<T>): Promise<T> {
    return this.add(this.all.then(task))
  }
}
