import { type Card, shownAs } from '@/core/card';

/** What identifies a card on a plain device: its uid and its name in parts. */
export function nameOnDevice(card: Card): Card {
  const components = (card.name?.components ?? []).flatMap(({ kind, value }) => [{ kind, value }]);
  return {
    '@type': 'Card',
    version: '1.0',
    uid: card.uid,
    kind: card.kind ?? 'individual',
    name: { full: shownAs(card), ...(components.length === 0 ? {} : { components }) },
  };
}
