/** Somebody who listens for changes, as a page does: where the connection breaks, it is made again. */
export class Listener {
  /** Events, and connections made: after each the page looks for what is new. */
  heard = 0;
  private isOver = false;
  private connection = new AbortController();
  private readonly listening: Promise<void>;

  constructor(
    private readonly base: string,
    private readonly token: string,
  ) {
    this.listening = this.listen();
  }

  /** Waits until something is heard. @returns false where nothing is in so many milliseconds */
  async hears(since: number, withinMs: number): Promise<boolean> {
    const until = performance.now() + withinMs;
    while (this.heard === since && performance.now() < until)
      await new Promise((resolve) => setTimeout(resolve, 5));
    return this.heard > since;
  }

  async end(): Promise<void> {
    this.isOver = true;
    this.connection.abort();
    await this.listening;
  }

  private async listen(): Promise<void> {
    while (!this.isOver) {
      try {
        const headers = { Authorization: `Bearer ${this.token}` };
        const { signal } = this.connection;
        const response = await fetch(`${this.base}/api/exchange/events`, { headers, signal });
        if (!response.ok || !response.body) throw new Error(`answered ${response.status}`);
        this.heard += 1;
        const decoder = new TextDecoder();
        const reader = response.body.getReader();
        for (let piece = await reader.read(); !piece.done; piece = await reader.read())
          if (decoder.decode(piece.value).includes('event: change')) this.heard += 1;
      } catch {
        // It is gone, and comes again.
      }
      await new Promise((resolve) => setTimeout(resolve, 50));
    }
  }
}
