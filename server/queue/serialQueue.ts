/** Does one thing after another, in the order they were asked for; one that fails stops none of those after it. */
export class SerialQueue {
  #last: Promise<unknown> = Promise.resolve();

  /** @returns what the work gives, once it had its turn */
  run<T>(work: () => Promise<T>): Promise<T> {
    const run = this.#last.then(work);
    this.#last = run.catch(() => undefined);
    return run;
  }

  /** When everything that was asked for so far is done. */
  idle(): Promise<void> {
    return this.run(async () => undefined);
  }
}
