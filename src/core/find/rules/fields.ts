/** Where on a card a word can stand; the order is that of their weight in a search. */
export const FIELDS = [
  'name',
  'nickname',
  'number',
  'organisation',
  'mail',
  'place',
  'title',
  'tag',
  'list',
  'account',
  'street',
  'web',
  'interest',
  'own',
  'relation',
  'note',
  'talk',
] as const;

/** One of the fields. */
export type Field = (typeof FIELDS)[number];

/** What kind of card it is, in the product's words. */
export const DOC_KINDS = ['person', 'organisation', 'list'] as const;
/** One of the kinds. */
export type DocKind = (typeof DOC_KINDS)[number];

/** Days that come round, by their kinds in RFC 9553 §2.8.1. */
export const DAY_KINDS = ['birth', 'wedding', 'death'] as const;
/** One of the kinds. */
export type DayKind = (typeof DAY_KINDS)[number];

/** Ways of talking that a rule can tell apart: any of them, face to face, by voice, in writing. */
export const TALK_WAYS = ['any', 'met', 'called', 'written'] as const;
/** One of them. */
export type TalkWay = (typeof TALK_WAYS)[number];

/** How what is found is ordered, where not by how well it fits. */
export type FindOrder = 'closeness' | 'lastTalk';
