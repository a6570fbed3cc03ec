import type { FindOrder } from '../rules/fields';
import { parseLimits, type Understood } from '../rules/parseLimits';
import type { Rule, Test } from '../rules/rule';
import type { Hit, SearchIndex } from './searchIndex';

/** What was found, and what the text was understood as. */
export interface FoundCards extends Understood {
  readonly hits: readonly Hit[];
  /** Where the text was understood as more than words and limits: all of it. */
  readonly rule?: Rule | undefined;
  readonly order?: FindOrder | undefined;
}

/**
 * Finds cards by a text with words and limits in it. Where the limits leave nobody, all of the text is taken for words:
 * "in" may be a surname.
 *
 * @param today - a day such as 2026-11-24
 */
export function findCards(
  index: SearchIndex,
  text: string,
  { limit, today }: { limit: number; today: string },
): FoundCards {
  const understood = parseLimits(text, { lists: index.lists() });
  const { words, tests } = understood;
  if (tests.length > 0) {
    const withArchived = tests.some(
      (test) => test.kind === 'flag' && test.flag === 'archived' && test.not !== true,
    );
    const hits = index.query(words, {
      limit,
      today,
      withArchived,
      rule: { kind: 'all', rules: [...tests, ...noLists(tests)] },
    });
    if (hits.length > 0) return { ...understood, hits };
  }
  const hits = index.query(text, { limit, today });
  return tests.length > 0 && hits.length === 0 ? { ...understood, hits } : { words: text, tests: [], hits };
}

/** Limits are about people and organisations, unless they say otherwise. */
function noLists(tests: readonly Test[]): Test[] {
  return tests.some((test) => test.kind === 'card') ? [] : [{ kind: 'card', card: 'list', not: true }];
}
