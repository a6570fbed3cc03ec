import type { Step } from './step';

/** What the history comes to, as Settings shows it. */
export interface HistorySize {
  readonly steps: number;
  /** In characters. */
  readonly size: number;
  /** ISO 8601 calendar date; '' where there is none. */
  readonly oldest: string;
}

/** Adds up what steps come to. */
export function sizeOfHistory(steps: readonly Step[]): HistorySize {
  return {
    steps: steps.length,
    size: steps.reduce((sum, { size }) => sum + size, 0),
    oldest: steps[0]?.at.slice(0, 10) ?? '',
  };
}
