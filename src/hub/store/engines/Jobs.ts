/** Jobs that are being done in this process. */
export class Jobs {
  private readonly underWay = new Set<string>();

  /** Does a job unless it is being done. @returns undefined where it is */
  async alone<T>(job: string, work: () => Promise<T>): Promise<T | undefined> {
    if (this.underWay.has(job)) return undefined;
    this.underWay.add(job);
    try {
      return await work();
    } finally {
      this.underWay.delete(job);
    }
  }
}
