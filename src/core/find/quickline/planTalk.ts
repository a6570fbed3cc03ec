import type { Card } from '@/core/card';
import { type Talk, TALK_KINDS } from '@/core/talks';
import { texts } from '@/texts/find/line';

import type { LineValue, Reading } from '../line/reading';
import type { Offer } from './planQuick';

/** What a talk is noted with. */
interface TalkContext {
  readonly newUid: () => string;
  /** A day such as 2026-11-24. */
  readonly today: string;
  /** What a reading would do, in words. */
  readonly describe: (reading: Reading) => string;
}

/**
 * A talk that has been, with what was said and when next, as one step; of no kind that was said it was a meeting.
 *
 * @param cards - of people and organisations, one at least
 */
export function planTalk(reading: Reading, cards: readonly Card[], context: TalkContext): Offer {
  const { values } = reading;
  const valueOf = (field: string) => values.find((one) => one.field === field)?.value;
  const kind = TALK_KINDS.find((one) => one === valueOf('kind')) ?? 'meeting';
  const said = { ...reading, values: [{ field: 'kind', value: kind }, ...values.filter(isNotKind)] };
  const [day, next] = [valueOf('day') ?? context.today, valueOf('next')];
  const talk: Talk = {
    ...{ id: context.newUid(), kind, direction: kind === 'meeting' ? 'both' : 'out', day },
    ...{ with: cards.map(({ uid }) => uid), said: valueOf('text') ?? '' },
  };
  const changed = cards.map((card) => afterTalk(card, day, next));
  return {
    ...{ kind: 'change', uid: cards[0]?.uid ?? '', label: context.describe(said) },
    detail: cards.length > 1 ? texts.people(cards.length) : '',
    upserts: changed.filter((card, i) => card !== cards[i]),
    from: cards,
    talks: [talk],
  };
}

const isNotKind = ({ field }: LineValue) => field !== 'kind';

/** A day set by hand is used up once it has come; a new one takes its place. */
function afterTalk(card: Card, day: string, next: string | undefined): Card {
  const { 'cordialis.example:due': due, ...rest } = card;
  if (next !== undefined) return { ...rest, 'cordialis.example:due': next };
  return due !== undefined && due <= day ? rest : card;
}
