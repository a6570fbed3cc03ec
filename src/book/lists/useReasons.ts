import { useAnswer, useServices } from '@/book/state';
import type { Uid } from '@/core/card';
import { isGroup, type Rule, type Test } from '@/core/find';
import { localDay } from '@/platform';

/** A condition of a rule, and whether it is true of somebody. */
export interface Reason {
  readonly test: Test;
  readonly isTrue: boolean;
}

/** Why somebody is on a list with a rule, or isn't: each of its conditions; undefined until that is known. */
export function useReasons(uid: Uid, rule: Rule): readonly Reason[] | undefined {
  const { search } = useServices();
  const key = JSON.stringify([uid, rule]);
  const answer = useAnswer(key, () =>
    Promise.all(
      testsOf(rule).map(async (test) => ({
        test,
        isTrue: (await search.matching(test, localDay())).includes(uid),
      })),
    ),
  );
  return answer?.key === key ? answer.value : undefined;
}

function testsOf(rule: Rule): Test[] {
  return isGroup(rule) ? rule.rules.flatMap(testsOf) : [rule];
}
