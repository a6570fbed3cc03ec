import { type Card, cardValues, shownAs, type ShowOptions } from '@/core/card';

/** A card as lines of text, as one would write it into a message. */
export function cardAsText(card: Card, options: ShowOptions): string {
  const post = Object.values(card.titles ?? {})[0]?.name;
  const house = Object.values(card.organizations ?? {})[0]?.name;
  const head = [shownAs(card), [post, house === shownAs(card) ? '' : house].filter(Boolean).join(', ')];
  const lines = cardValues(card, { ...options, isToKeep: true }).flatMap(({ label, values }) =>
    values.map(({ lines: texts, second }) => {
      const kind = second === '' ? label : `${label} (${second})`;
      return `${kind}: ${texts.join(', ')}`;
    }),
  );
  return [...head.filter(Boolean), ...lines].join('\n');
}
