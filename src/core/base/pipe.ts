/**
 * Hands values from one piece of work to another, one at a time: who gives waits until what it gave has been taken, so that
 * nothing piles up between them.
 */
export class Pipe<T> implements AsyncIterable<T> {
  private readonly given: { readonly value: T; readonly taken: () => void }[] = [];
  private wake: () => void = () => undefined;
  private isClosed = false;
  private fault: unknown;

  /** Resolves when the value after it is asked for, or nobody takes any more. */
  give(value: T): Promise<void> {
    if (this.isClosed) return Promise.resolve();
    return new Promise((resolve) => {
      this.given.push({ value, taken: resolve });
      this.wake();
    });
  }

  /** Nothing more is given. @param fault - why, where something has gone wrong; who takes gets it thrown */
  close(fault?: unknown): void {
    this.isClosed = true;
    this.fault = fault;
    this.wake();
  }

  async *[Symbol.asyncIterator](): AsyncIterator<T> {
    let taken: () => void = () => undefined;
    try {
      for (;;) {
        const next = this.given.shift();
        if (next) {
          taken = next.taken;
          yield next.value;
          taken();
        } else if (this.isClosed) break;
        else await new Promise<void>((resolve) => (this.wake = resolve));
      }
    } finally {
      this.isClosed = true;
      taken();
      for (const one of this.given.splice(0)) one.taken();
    }
    if (this.fault !== undefined) throw this.fault;
  }
}
