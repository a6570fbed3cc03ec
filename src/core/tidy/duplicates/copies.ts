import type { DuplicateFacts } from './facts/facts';

/** Cards of which each says something else, and those that say nothing but what one of them says. */
export interface Copies {
  readonly firsts: readonly DuplicateFacts[];
  /** By the first card of its kind, the others. */
  readonly copiesOf: ReadonlyMap<DuplicateFacts, readonly DuplicateFacts[]>;
}

/**
 * Sets aside cards that say the very same, as an import that was repeated leaves them: ten copies would make a name common and
 * a mailbox one that many have. Only who can be reached has copies; two cards with the same name and nothing else may be two people.
 */
export function setCopiesAside(all: readonly DuplicateFacts[]): Copies {
  const seen = new Map<string, DuplicateFacts>();
  const copiesOf = new Map<DuplicateFacts, DuplicateFacts[]>();
  // Whoever is kept apart, by its own word or by another card's, stands for itself.
  const apart = new Set(all.flatMap((one) => (one.apart.size === 0 ? [] : [one.uid, ...one.apart])));
  const firsts = all.filter((one) => {
    if (one.mails.length + one.phones.length === 0 || apart.has(one.uid)) return true;
    const said = whatIsSaid(one);
    const first = seen.get(said);
    if (!first) {
      seen.set(said, one);
      return true;
    }
    const copies = copiesOf.get(first);
    if (copies) copies.push(one);
    else copiesOf.set(first, [one]);
    return false;
  });
  return { firsts, copiesOf };
}

function whatIsSaid(facts: DuplicateFacts): string {
  const { isOrg, shown, name, nicknames, mails, phones, birth, employers, titles, streets, towns } = facts;
  const words = name.words.map(({ text, role }) => `${role} ${text}`);
  const numbers = phones.map(({ number, extension }) => `${number} ${extension}`);
  return JSON.stringify([
    ...[isOrg, shown, words, name.generation, nicknames, mails, numbers],
    ...[birth, employers, titles, streets, towns],
  ]);
}
