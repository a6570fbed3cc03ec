import { isSameJson } from '@/core/base';
import type { Card, Uid } from '@/core/card';
import { formatRhythm } from '@/core/talks';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/tidy/merging';

/** Properties that a card has once, with our words for them. */
export const SINGLES = {
  kind: 'Kind',
  language: texts.languageOfCard,
  speakToAs: texts.pronouns,
  'cordialis.example:rhythm': texts.rhythm,
  'cordialis.example:timeZone': shared.timeZone,
  'cordialis.example:quiet': texts.notCalledQuietBefore,
  'cordialis.example:feed': texts.postsOf,
} as const satisfies Partial<Record<keyof Card, string>>;

/** One of them. */
export type SingleKey = keyof typeof SINGLES;

/** A property with different values. */
export interface DifferentSingle {
  readonly key: SingleKey;
  readonly label: string;
  /** Each card that says something, with it in words; of several that say the same, the first. */
  readonly options: readonly (readonly [uid: Uid, text: string])[];
}

/** The single values in which cards differ. */
export function findDifferent(cards: readonly Card[]): DifferentSingle[] {
  return keys.flatMap((key) => {
    const saying = cards.filter((card) => card[key] !== undefined);
    const own = saying.filter((card, i) => saying.findIndex((one) => isSameJson(one[key], card[key])) === i);
    if (own.length < 2) return [];
    const options = own.map((card) => [card.uid, formatSingle(card, key)] as const);
    return [{ key, label: SINGLES[key], options }];
  });
}

/** What a card says of one of them, in words; '' for nothing. */
export function formatSingle(card: Card, key: SingleKey): string {
  switch (key) {
    case 'kind':
      return KINDS[card.kind ?? 'individual'] ?? card.kind ?? '';
    case 'speakToAs': {
      const { pronouns = {}, grammaticalGender } = card.speakToAs ?? {};
      const said = Object.values(pronouns).map(({ pronouns: text, label, contexts = {} }) => {
        const about = [label, ...Object.keys(contexts)].filter((one) => one !== undefined);
        return about.length === 0 ? text : `${text} (${about.join(', ')})`;
      });
      return [...said, grammaticalGender ?? []].flat().join(', ');
    }
    case 'cordialis.example:rhythm': {
      const rhythm = card[key];
      return rhythm ? `${formatRhythm(rhythm)}${rhythm.paused === true ? ', stopped' : ''}` : '';
    }
    case 'language':
    case 'cordialis.example:timeZone':
    case 'cordialis.example:quiet':
    case 'cordialis.example:feed':
      return card[key] ?? '';
  }
}

const KINDS: Readonly<Record<string, string>> = {
  individual: texts.person,
  org: texts.organisation,
  group: texts.list,
};

// Object.keys can't know that a constant has these keys only.
const keys = Object.keys(SINGLES) as SingleKey[];
