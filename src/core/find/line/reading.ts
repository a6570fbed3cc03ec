import type { Uid } from '@/core/card';

import type { FindOrder } from '../rules/fields';
import type { Rule } from '../rules/rule';

/** What a line is for. */
export type Need = 'find' | 'show' | 'fill' | 'do' | 'new' | 'go' | 'none';

/** What can be done with cards; those of lists are done with everybody on them. */
export type LineAct =
  | 'call'
  | 'write'
  | 'message'
  | 'way'
  | 'copy'
  | 'talk'
  | 'edit'
  | 'open'
  | 'pin'
  | 'unpin'
  | 'archive'
  | 'restore'
  | 'private'
  | 'public'
  | 'merge'
  | 'print'
  | 'export'
  | 'send'
  | 'remind'
  | 'meet';

/** A value that a line gives: filled in, or needed by an act. */
export interface LineValue {
  /** Such as "mail", "number:work", "list" or "-tag", which is taken off. */
  readonly field: string;
  /** As typed, but days as ISO 8601 and spans as "3 week"; of a list its uid. */
  readonly value: string;
}

/** Some words of a line that were taken for a limit; an order has no rule. */
export interface LimitWords {
  readonly rule?: Rule;
  /** Of the words of the line, and the one behind the last. */
  readonly first: number;
  readonly end: number;
}

/** Less sure than this a reading isn't acted on, nor told. */
export const LEAST_SCORE = 0.75;

/** What a reading means, to be compared: how sure it is and where its words stand are no part of that. */
export function meaningOf(reading: Reading): string {
  const { score: _, limits: __, ...rest } = reading;
  return JSON.stringify(rest);
}

/** One thing that a line can mean. */
export interface Reading {
  readonly need: Need;
  /** Of the people, organisations and lists that it is about. */
  readonly uids: readonly Uid[];
  readonly act?: LineAct;
  /** Of a 'go' the place; of a 'show' the kind of value, in `values` as its field. */
  readonly place?: string;
  readonly values: readonly LineValue[];
  /** What is searched for; undefined for anything but a search. */
  readonly rule?: Rule;
  readonly order?: FindOrder;
  /** Of a search: which words were taken for which limit. */
  readonly limits?: readonly LimitWords[];
  /** 0 to 1: how much of the line it explains, and how surely. */
  readonly score: number;
}
