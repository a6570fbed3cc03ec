import type { Card, Uid } from '@/core/card';
import {
  cardFromSpans,
  correctSpans,
  findNews,
  findOthers,
  findSpans,
  type OtherWriter,
  type SpanCorrection,
  type TextPiece,
  textPieces,
} from '@/core/extract';
import type { News, Signature } from '@/core/talks';
import {
  type Cluster,
  duplicateFacts,
  DuplicateIndex,
  type Fault,
  FaultFinder,
  type FaultOptions,
  mergeCards,
} from '@/core/tidy';

import { importOnto } from './importOnto';

/** A card read out of a text, what of the text it was read from, and whom of the book it looks like. */
export interface ExtractResult {
  readonly card: Card;
  /** The lines of the text in the pieces that can be pressed. */
  readonly lines: readonly (readonly TextPiece[])[];
  readonly hasMarks: boolean;
  readonly duplicates: readonly Cluster[];
  /** Who else has written in the text. */
  readonly others: readonly OtherWriter[];
}

/** What reading a text goes by. */
export interface ExtractRequest {
  readonly text: string;
  /** The card that it becomes. */
  readonly empty: Card;
  readonly country: string;
  /** What the user has said of stretches, in that order. */
  readonly corrections: readonly SpanCorrection[];
}

/** A signature, with the card of whoever wrote it. */
export interface Signed {
  readonly signature: Signature;
  readonly card: Card;
}

/** A card of the book, and what a file has under its uid. */
export interface FilePair {
  readonly now: Card;
  readonly file: Card;
}

/** What the page may ask of whoever knows the book as it compares cards. */
export interface InspectorApi {
  /** Takes cards on as they are now, and forgets those that are gone. */
  update(put: readonly Card[], gone: readonly Uid[]): void;
  /** For each card those of the book that are the same, the surest first. */
  duplicatesOf(cards: readonly Card[]): Cluster[];
  /** What is wrong with cards by themselves. */
  faultsOf(cards: readonly Card[], options: FaultOptions): Fault[];
  /** Reads a card out of a text. */
  extract(wish: ExtractRequest): ExtractResult;
  /** What signatures say of those whose cards are given with them. */
  newsIn(signed: readonly Signed[], country: string): News[];
  /** The first card with what the second says beside it. */
  unite(mine: Card, theirs: Card, country: string): Card;
  /** Each card of the book with what a card of a file says beside it or otherwise. */
  importOnto(pairs: readonly FilePair[], country: string): Card[];
}

/** Makes the interface of the duplicates worker. */
export function makeInspector(): InspectorApi {
  const index = new DuplicateIndex();
  return {
    update: (put, gone) => {
      for (const card of put) index.put(duplicateFacts(card));
      for (const uid of gone) index.remove(uid);
    },
    duplicatesOf: (cards) => cards.flatMap((card) => index.duplicatesOf(duplicateFacts(card))),
    faultsOf: (cards, options) => {
      const finder = new FaultFinder(options);
      return cards.flatMap((card) => finder.add(card));
    },
    extract: ({ text, empty, country, corrections }) => {
      const options = { country };
      let marks = findSpans(text, options);
      for (const correction of corrections) marks = correctSpans(text, marks, correction);
      const card = cardFromSpans(text, marks, empty, options);
      return {
        card,
        lines: textPieces(text, marks),
        hasMarks: marks.length > 0,
        duplicates: index.duplicatesOf(duplicateFacts(card)),
        others: findOthers(text, options),
      };
    },
    newsIn: (signed, country) =>
      signed.flatMap(({ signature, card }) => findNews(card, signature, { country })),
    importOnto: (pairs, country) => pairs.map(({ now, file }) => importOnto(now, file, country)),
    unite: (mine, theirs, country) => mergeCards([mine, theirs], { country }),
  };
}
