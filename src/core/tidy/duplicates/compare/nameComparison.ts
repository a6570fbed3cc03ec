import type { WordLevel } from './compareWords';

/** What of two names does not agree. */
export type Conflict =
  | 'missing'
  | 'none'
  | 'extra'
  | 'otherSurname'
  | 'otherSecondSurname'
  | 'otherSecondGiven'
  | 'likeGiven'
  | 'otherGiven'
  | 'other'
  | 'scripts';

/** Two words that agree. */
export interface WordMatch {
  readonly level: WordLevel;
  readonly word: string;
  /** The chance that somebody else's name agrees like this, 0 to 1. */
  readonly chance: number;
  readonly isGiven: boolean;
}

/** How two names agree, whatever fields their words stand in. */
export interface NameComparison {
  readonly matches: readonly WordMatch[];
  /** How much oftener the words that agree come together than if each could go with any. */
  readonly together: number;
  readonly conflict: Conflict;
}
