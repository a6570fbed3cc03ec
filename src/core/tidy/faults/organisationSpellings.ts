import { type Card, organisationWords, shownAs, type Uid } from '@/core/card';
import { texts } from '@/texts/tidy/faults';

import type { Fault } from './fault';

interface Place {
  readonly uid: Uid;
  readonly id: string;
}

/** How organisations are written on the cards of a book, to find those that are written in several ways. */
export class OrganisationSpellings {
  private readonly places = new Map<string, Map<string, Place[]>>();
  private readonly own = new Map<string, string>();

  /** Takes in what a card says of organisations. */
  add(card: Card): void {
    if (card.kind === 'org') {
      const shown = shownAs(card);
      if (shown !== '') this.own.set(keyOf(shown), shown);
      return;
    }
    for (const [id, { name = '' }] of Object.entries(card.organizations ?? {})) {
      const key = keyOf(name);
      if (key === '') continue;
      const writings = this.places.get(key) ?? new Map<string, Place[]>();
      const places = writings.get(name) ?? [];
      places.push({ uid: card.uid, id });
      writings.set(name, places);
      this.places.set(key, writings);
    }
  }

  /** Each place where an organisation is written otherwise than on its own card, or else than most often. */
  findFaults(): Fault[] {
    const faults: Fault[] = [];
    for (const [key, writings] of this.places) {
      const own = this.own.get(key);
      const usual = own ?? mostUsual(writings);
      for (const [name, places] of writings) {
        if (name === usual) continue;
        for (const { uid, id } of places) {
          const path = ['organizations', id, 'name'];
          faults.push({
            ...{ code: 'spelt-differently', uid, path, was: name, shown: name },
            says: own === undefined ? texts.isMostlyWritten(usual) : texts.isOnItsOwn(usual),
            mend: { edits: [{ path, before: name, after: usual }], shown: usual, isSure: own !== undefined },
          });
        }
      }
    }
    return faults;
  }
}

function keyOf(name: string): string {
  return organisationWords(name).join(' ');
}

/** The writing on the most cards; of two as many the longer one, which has the legal form. */
function mostUsual(writings: ReadonlyMap<string, readonly Place[]>): string {
  const all = [...writings].sort(
    ([a, x], [b, y]) => y.length - x.length || b.length - a.length || (a < b ? -1 : 1),
  );
  return all[0]?.[0] ?? '';
}
