import { useContext, useEffect, useState } from 'react';

import { selectSettings, useAppSelector, useCardGetter } from '@/book/state';
import type { Offer, Verb } from '@/core/find';
import { LOCALE } from '@/platform';

import { type QuickPlans, QuickPlansContext } from './quickPlans';

/** What plans acts, once the line is used; `isComing` while it is being loaded. */
export function usePlans(isUsed: boolean): { plans: QuickPlans | undefined; isComing: boolean } {
  const load = useContext(QuickPlansContext);
  const [plans, setPlans] = useState<QuickPlans | 'none'>();
  useEffect(() => {
    // Where the chunk can't be loaded, the line still finds.
    if (isUsed) void load?.().then(setPlans, () => setPlans('none'));
  }, [isUsed, load]);
  if (plans === 'none' || !load) return { plans: undefined, isComing: false };
  return { plans, isComing: plans === undefined };
}

/** What was done from the line lately and can be done again, the latest first. */
export function useRecentActs(plans: QuickPlans | undefined): readonly Offer[] {
  const { recentActs } = useAppSelector(selectSettings);
  return usePossible(plans)(recentActs);
}

/** What the user wants offered for a card that was found. */
export function useActsFor(plans: QuickPlans | undefined, uid: string | undefined): readonly Offer[] {
  const { quickActs } = useAppSelector(selectSettings);
  return usePossible(plans)(uid === undefined ? [] : quickActs.map((verb) => ({ uid, verb })));
}

/** Plans some acts; those that can't be done, or whose card is gone, are left out. */
function usePossible(plans: QuickPlans | undefined) {
  const { country } = useAppSelector(selectSettings);
  const getCard = useCardGetter();
  return (acts: readonly { readonly uid: string; readonly verb: string }[]): readonly Offer[] =>
    acts.flatMap(({ uid, verb }) => {
      const card = getCard(uid);
      const context = { country, locale: LOCALE, getList: getCard };
      const offer = card && plans?.planAct(card, verb as Verb, context);
      return offer && offer.kind !== 'none' ? [offer] : [];
    });
}
