import { isSameJson } from '@/core/base';
import { applyEdits, type Card, type Edit, getAt, type Uid } from '@/core/card';

/** Kinds of faults, the most useful to fix first. */
export const FAULT_CODES = [
  'undialable',
  'bad-mail',
  'no-country-code',
  'impossible-date',
  'capitals',
  'title-in-name',
  'twice',
  'spelt-differently',
  'empty',
  'unreachable',
] as const;

/** One of them. */
export type FaultCode = (typeof FAULT_CODES)[number];

/** Something wrong or missing on a card. */
export interface Fault {
  readonly code: FaultCode;
  readonly uid: Uid;
  /** Where on the card; [] for the card as a whole. */
  readonly path: readonly string[];
  /** What stands there. */
  readonly was?: unknown;
  /** What stands there, for people's eyes. */
  readonly shown: string;
  /** What is wrong with it, in words. */
  readonly says: string;
  /** What would fix it; undefined where only the user can know. */
  readonly mend?: {
    /** undefined: the card is deleted. */
    readonly edits?: readonly Edit[];
    /** What it would then be, for people's eyes. */
    readonly shown: string;
    /** Whether it may be done without a look. */
    readonly isSure: boolean;
  };
}

/** Whether a card still has the fault. */
export function isStillWrong(card: Card | undefined, fault: Fault): boolean {
  if (!card || isDismissed(card, fault)) return false;
  return fault.path.length === 0
    ? fault.was === card.updated
    : isSameJson(getAt(card, fault.path), fault.was);
}

/** Whether the user has marked it as correct. */
export function isDismissed(card: Card, fault: Fault): boolean {
  return card['cordialis.example:right']?.[leftKey(fault)] === true;
}

/** The card with the fault dismissed; a different value in its place is checked again. */
export function dismissFault(card: Card, faults: readonly Fault[]): Card {
  const left = Object.fromEntries(faults.map((fault) => [leftKey(fault), true as const]));
  return { ...card, 'cordialis.example:right': { ...card['cordialis.example:right'], ...left } };
}

/** Identifies a fault by its kind and value, not by its place, so that it survives reordering. */
function leftKey({ code, path, shown }: Fault): string {
  return path.length === 0 ? code : `${code} ${shown}`;
}

/** The fixed card; the same card where it has changed since, or where no fix is known. */
export function fixCard(card: Card, faults: readonly Fault[]): Card {
  return faults.reduce((now, { mend }) => (mend?.edits ? applyEdits(now, mend.edits).value : now), card);
}
