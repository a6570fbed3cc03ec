import { useContext, useEffect, useState } from 'react';

import { selectSettings, useAppSelector, useCardGetter } from '@/book';
import type { Offer, Verb } from '@/core/quickline';
import { LOCALE } from '@/platform';

import { type QuickPlans, QuickPlansContext } from './quickPlans';

/** What plans acts, once the line is used. */
export function usePlans(isUsed: boolean): QuickPlans | undefined {
  const load = useContext(QuickPlansContext);
  const [plans, setPlans] = useState<QuickPlans>();
  useEffect(() => {
    // A chunk that can't be loaded leaves a line that finds.
    if (isUsed) void load?.().then(setPlans, () => undefined);
  }, [isUsed, load]);
  return plans;
}

/** What was done from the line lately and can be done again, the latest first. */
export function useRecentActs(plans: QuickPlans | undefined): readonly Offer[] {
  const { recentActs, country } = useAppSelector(selectSettings);
  const getCard = useCardGetter();
  if (!plans) return [];
  return recentActs.flatMap(({ uid, verb }) => {
    const card = getCard(uid);
    const offer = card && plans.planAct(card, verb as Verb, { country, locale: LOCALE, getList: getCard });
    return offer && offer.kind !== 'none' ? [offer] : [];
  });
}

/** What the user wants offered for a card that was found; acts that can't be done are left out. */
export function useActsFor(plans: QuickPlans | undefined, uid: string | undefined): readonly Offer[] {
  const { quickActs, country } = useAppSelector(selectSettings);
  const getCard = useCardGetter();
  const card = uid === undefined ? undefined : getCard(uid);
  if (!plans || !card) return [];
  return quickActs.flatMap((verb) => {
    const offer = plans.planAct(card, verb, { country, locale: LOCALE, getList: getCard });
    return offer && offer.kind !== 'none' ? [offer] : [];
  });
}
