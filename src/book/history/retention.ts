import type { Step } from './step';

/** How long steps are kept, and how many. */
export interface Retention {
  /** In years; 0 for as long as there is room. */
  readonly years: number;
  /** What all of them may take together, in millions of characters. */
  readonly megabytes: number;
}

/**
 * The steps that are kept no longer, the oldest first. A merge is kept as long as it stands, since taking it apart needs
 * it; so is what is still under way.
 *
 * @param steps - all there are, the oldest first
 * @param today - ISO 8601 calendar date
 */
export function outlivedSteps(
  steps: readonly Step[],
  { years, megabytes }: Retention,
  today: string,
): Step[] {
  const from =
    years === 0 ? '' : `${String(Number(today.slice(0, 4)) - years).padStart(4, '0')}${today.slice(4)}`;
  let room = megabytes * 1e6 - steps.reduce((sum, step) => sum + sizeOf(step), 0);
  const gone: Step[] = [];
  for (const step of steps) {
    if (isNeeded(step) || (step.at.slice(0, 10) >= from && room >= 0)) continue;
    gone.push(step);
    room += sizeOf(step);
  }
  return gone;
}

function isNeeded({ cause, state, todo, replaying }: Step): boolean {
  return todo !== undefined || replaying !== undefined || (cause === 'merge' && state === 'done');
}

/** The step itself counts as well, with what its words need at least. */
function sizeOf({ size }: Step): number {
  return size + 300;
}
