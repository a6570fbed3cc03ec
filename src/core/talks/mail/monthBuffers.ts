import { monthOf, type Talk } from '../talk';

/** Talks held at once: about 15 MB. */
const MOST = 40_000;

/** Buffers talks by month, so that each month is written only a few times, in whatever order they come. */
export class MonthBuffers {
  private readonly months = new Map<string, Talk[]>();
  private held = 0;

  constructor(private readonly most: number = MOST) {}

  /** Adds a talk. */
  add(talk: Talk): void {
    const month = this.months.get(monthOf(talk));
    if (month) month.push(talk);
    else this.months.set(monthOf(talk), [talk]);
    this.held += 1;
  }

  /** Whether the buffer has to be emptied before more is added. */
  get isFull(): boolean {
    return this.held >= this.most;
  }

  /** Takes out the fullest months until half the buffer is free; all of them for `isLast`. */
  *take(isLast = false): Generator<readonly [month: string, talks: Talk[]]> {
    const fullest = [...this.months].sort(([, a], [, b]) => b.length - a.length);
    for (const [month, talks] of fullest) {
      if (!isLast && this.held <= this.most / 2) return;
      this.months.delete(month);
      this.held -= talks.length;
      yield [month, talks];
    }
  }
}
