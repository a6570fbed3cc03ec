import { RateLimiterMemory } from 'rate-limiter-flexible';

const TEN_MINUTES_S = 600;

/** Counts tries in ten minutes, by what they are counted by. @param most - after which none is made */
export function triesOf(most: number): RateLimiterMemory {
  return new RateLimiterMemory({ points: most, duration: TEN_MINUTES_S });
}

/** Counts a try before it is made, by each of some limits in turn. @returns whether all of them let it be made */
export async function mayTry(...limits: readonly (readonly [RateLimiterMemory, string])[]): Promise<boolean> {
  try {
    for (const [limit, by] of limits) await limit.consume(by);
    return true;
  } catch (refused) {
    // The package refuses with a value of its own, and fails with an error.
    if (refused instanceof Error) throw refused;
    return false;
  }
}
