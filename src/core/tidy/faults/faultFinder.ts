import type { Card } from '@/core/card';

import { type Fault, isDismissed } from './fault';
import { findDateFaults } from './findDateFaults';
import { findGaps } from './findGaps';
import { findMailFaults } from './findMailFaults';
import { findNameFaults } from './findNameFaults';
import { findPhoneFaults } from './findPhoneFaults';
import { findRepeats } from './findRepeats';
import { OrganisationSpellings } from './organisationSpellings';

/** What finding needs. */
export interface FaultOptions {
  /** ISO 3166-1 alpha-2: where the user is. */
  readonly country: string;
  /** YYYY-MM-DD. */
  readonly today: string;
}

/** Finds the faults of a book; cards may be given in batches. */
export class FaultFinder {
  private readonly houses = new OrganisationSpellings();

  constructor(private readonly options: FaultOptions) {}

  /** Faults of a single card. Lists and archived cards are skipped. */
  add(card: Card): Fault[] {
    if (card.kind === 'group' || card['cordialis.example:archived'] === true) return [];
    this.houses.add(card);
    return [
      ...findPhoneFaults(card, this.options.country),
      ...findMailFaults(card),
      ...findDateFaults(card, this.options.today),
      ...findNameFaults(card),
      ...findRepeats(card, this.options.country),
      ...findGaps(card),
    ].filter((fault) => !isDismissed(card, fault));
  }

  /** Faults across the cards given so far: organisations with several spellings. */
  across(): Fault[] {
    return this.houses.findFaults();
  }
}
