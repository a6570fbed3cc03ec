import { useMemo } from 'react';

import type { SearchClient } from '@/book/clients';
import { useListCounts } from '@/book/lists';
import {
  selectLists,
  selectSettings,
  useAnswer,
  useAppSelector,
  useCardGetter,
  useServices,
} from '@/book/state';
import { type Card, organisationOf, shownAs, townOf, type Uid } from '@/core/card';
import { LEAST_SCORE, type Offer, type Quick, type Reading } from '@/core/find';
import { isList, isRuleList } from '@/core/lists';
import { localDay, LOCALE } from '@/platform';

import { isNameOf, pagesFor } from './pages';
import type { QuickPlans } from './quickPlans';

/** Cards that an act is offered for: where a name could be several people's, they choose. */
const CANDIDATES = 4;

/** What the line offers beside what it finds. */
export interface Offers {
  readonly offers: readonly Offer[];
  /** Whether it asks for an act in so many words; then offers stand before what is found. */
  readonly isAsked: boolean;
  /** Whether the first two are as likely as each other, so that neither is meant before it is chosen. */
  readonly isTie: boolean;
  /** Whether these are all that the line as it stands has to offer. */
  readonly isKnown: boolean;
}

const NONE: Offers = { offers: [], isAsked: false, isTie: false, isKnown: true };
const NOT_YET: Offers = { ...NONE, isKnown: false };

/** Whom a line may mean that asks for something. */
interface Named {
  readonly quick: Quick;
  readonly uids: readonly Uid[];
  /** Whether somebody is called so. */
  readonly isNamed: boolean;
  /** Whether somebody was found without a typo. */
  readonly isFound: boolean;
}

/** Readings nearer to the best than this are shown beside it. */
const NEAR = 0.12;

/** What the readings of a line would do. */
interface Planned {
  readonly offers: readonly Offer[];
  readonly isTie: boolean;
  /** Whether the line is surely a search, so that it is taken for nothing else. */
  readonly isSearch?: boolean;
}

const NOTHING: Planned = { offers: [], isTie: false };
const SEARCH: Planned = { ...NOTHING, isSearch: true };
/** From here on limits explain so much of a line that it is a search. */
const SURE_SEARCH = 0.84;

/** What a line would do, by what the whole of it can mean; undefined until that is known. */
function useReadings(query: string, plans: QuickPlans | undefined): Planned | undefined {
  const { search, newUid, utcNow } = useServices();
  const { country, recentActs } = useAppSelector(selectSettings);
  const getCard = useCardGetter();
  const isEmpty = query.trim() === '';
  const read = useAnswer(query, isEmpty ? undefined : () => search.understand(query, localDay()));
  // How many a list has isn't on it: it may fill itself, or have lists on it.
  const spokenOf = (read?.value ?? []).flatMap(({ uids, values }) => [
    ...uids,
    ...values.map(({ value }) => value),
  ]);
  const counts = useListCounts(
    [...new Set(spokenOf)].filter((uid) => {
      const card = getCard(uid);
      return card !== undefined && isList(card);
    }),
  );
  return useMemo(() => {
    if (isEmpty || !plans) return NOTHING;
    if (read?.key !== query) return undefined;
    const context = {
      ...{ country, locale: LOCALE, getList: getCard, getCard, newUid, utcNow, today: localDay() },
      countOn: (uid: Uid) => counts[uid],
    };
    const [best] = read.value;
    // Where a search explains as much, the line is a search.
    if (!best || best.need === 'find' || best.score < LEAST_SCORE)
      return best && best.score >= SURE_SEARCH ? SEARCH : NOTHING;
    // A page's own name leads to it already.
    if (best.need === 'go' && pagesFor(query).some((page) => isNameOf(page, query))) return NOTHING;
    // Of those that are as likely, whoever was used lately comes first.
    const place = ({ uids }: Reading) => {
      const at = recentActs.findIndex(({ uid }) => uids.includes(uid));
      return at < 0 ? recentActs.length : at;
    };
    const near = read.value
      .filter(({ score }) => score > best.score - NEAR)
      .toSorted((a, b) => b.score - a.score || place(a) - place(b));
    const offers = near.flatMap((reading) => plans.planReading(reading, context) ?? []).slice(0, CANDIDATES);
    return { offers: toldApart(offers, getCard), isTie: offers.length > 1 && near[1]?.score === best.score };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- made once for each line that has been read
  }, [counts, country, isEmpty, plans, query, read]);
}

/** Offers that would read the same, each with what its card says beside the name. */
function toldApart(offers: readonly Offer[], getCard: (uid: Uid) => Card | undefined): Offer[] {
  const key = ({ label, detail }: Offer) => `${label}\n${detail}`;
  return offers.map((offer) => {
    const card = getCard(offer.uid);
    const isAlone = offers.filter((one) => key(one) === key(offer)).length === 1;
    if (isAlone || !card) return offer;
    const beside = [organisationOf(card), townOf(card), card.updated?.slice(0, 10)].filter(Boolean);
    return { ...offer, detail: [offer.detail, ...beside].filter(Boolean).join(' · ') };
  });
}

/** What a line would do, for each card that its name could mean; nothing for a line that only finds. */
export function useOffers(query: string, plans: QuickPlans | undefined): Offers {
  const { search, newUid, utcNow } = useServices();
  const lists = useAppSelector(selectLists);
  const { country } = useAppSelector(selectSettings);
  const getCard = useCardGetter();
  const asked = useMemo(() => {
    // A list that fills itself takes nobody on by hand.
    const picked = lists.filter((list) => !isRuleList(list));
    const known = { lists: picked.map((list) => ({ uid: list.uid, name: shownAs(list) })) };
    const quick = query.trim() === '' ? undefined : plans?.parseQuick(query, known);
    return quick && asksForSomething(quick) ? quick : undefined;
  }, [lists, plans, query]);
  const read = useAnswer(query, asked ? () => namedBy(asked, search) : undefined, asked);
  const readings = useReadings(query, plans);
  return useMemo(() => {
    if (readings === undefined) return NOT_YET;
    const isNewCard = readings.offers[0]?.kind === 'new';
    // Whoever is only called like a new card may be meant all the same.
    if (readings.offers.length > 0 && !(isNewCard && asked))
      return { ...readings, isAsked: true, isKnown: true };
    if (!plans || !asked || readings.isSearch === true) return NONE;
    if (read?.key !== query || read.value.quick !== asked) return NOT_YET;
    const { quick, uids, isNamed, isFound } = read.value;
    const context = { country, locale: LOCALE, getList: getCard };
    const offers = uids.flatMap((uid) => {
      const card = getCard(uid);
      return (card && plans.planQuick(card, quick, context)) ?? [];
    });
    const isNew = (!isNamed && quick.fills.length > 0) || quick.verb === 'add';
    const fresh = isNew && quick.name !== '' ? plans.planNew(quick, newUid(), utcNow(), context) : undefined;
    if (isNewCard)
      return {
        ...readings,
        offers: [...readings.offers, ...offers].slice(0, CANDIDATES),
        isAsked: true,
        isKnown: true,
      };
    const isAsked = quick.verb !== undefined || quick.wanted !== undefined;
    // Where nobody is called so, a new card is likelier than somebody whom a search finds all the same.
    const all = fresh ? (isFound ? [...offers, fresh] : [fresh, ...offers]) : offers;
    return { offers: all, isAsked, isTie: false, isKnown: true };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- made once for each line that has been read
  }, [asked, country, plans, query, read, readings]);
}

async function namedBy(quick: Quick, search: SearchClient): Promise<Named> {
  const { hits } = quick.name === '' ? { hits: [] } : await search.find(quick.name, CANDIDATES, localDay());
  const found = hits.filter(({ kind }) => kind !== 'list');
  const exact = found.filter(({ isNear }) => isNear !== true);
  const isNamed = exact.some(({ field }) => field === 'name');
  return { quick, uids: found.map(({ uid }) => uid), isNamed, isFound: exact.length > 0 };
}

function asksForSomething({ verb, wanted, fills }: Quick): boolean {
  return verb !== undefined || wanted !== undefined || fills.length > 0;
}
