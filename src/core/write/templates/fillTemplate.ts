import type { Card } from '@/core/card';

import { type TemplateContext, valueOf } from './fields';

/** {given}; {given|friend}; {if post} … {end}; {if not post} … {end}. */
export const PIECE = /\{(if not |if )?([^{}|\n]{1,40})(?:\|([^{}]*))?\}/gi;

/**
 * The text for one card. What is in braces and is no field stays as it is, and so does a part that isn't ended.
 *
 * @param card - undefined for somebody without one: what stands for the missing is used
 */
export function fillTemplate(text: string, card: Card | undefined, context: TemplateContext = {}): string {
  return walk(text, card, context).text;
}

/** The fields of a text that a card can't fill and for which nothing else stands; parts that are left out don't count. */
export function missingFields(text: string, card: Card | undefined, context: TemplateContext = {}): string[] {
  return walk(text, card, context).missing;
}

/** The fields that stand in a text, each once. */
export function fieldsIn(text: string, context: TemplateContext = {}): string[] {
  const words = [...text.matchAll(PIECE)].map(([, , word = '']) => word.trim().toLowerCase());
  return [...new Set(words)].filter((word) => valueOf(word, undefined, context) !== undefined);
}

/** The labels of fields that the user has made on some cards. */
export function labelsOf(cards: readonly Card[]): string[] {
  const labels = cards.flatMap((card) =>
    Object.values(card['cordialis.example:fields'] ?? {}).map(({ label }) => label.trim()),
  );
  return [...new Set(labels)];
}

/** A part that stands or falls with a condition, while it is being read. */
interface Part {
  readonly opened: string;
  readonly isIn: boolean;
  text: string;
}

function walk(text: string, card: Card | undefined, context: TemplateContext) {
  const missing = new Set<string>();
  const parts: Part[] = [{ opened: '', isIn: true, text: '' }];
  const put = (piece: string) => {
    const last = parts.at(-1);
    if (last) last.text += piece;
  };
  let at = 0;
  for (const match of text.matchAll(PIECE)) {
    const [whole, condition, word = '', other] = match;
    put(text.slice(at, match.index));
    at = match.index + whole.length;
    if (condition === undefined && word.trim().toLowerCase() === 'end' && parts.length > 1) {
      const part = parts.pop();
      if (part?.isIn === true) put(part.text);
      continue;
    }
    const value = valueOf(word, card, context);
    if (value === undefined) put(whole);
    else if (condition !== undefined) {
      const isIn = /not/i.test(condition) === (value === '');
      parts.push({ opened: whole, isIn, text: '' });
    } else if (value === '' && other === undefined) {
      if (parts.every(({ isIn }) => isIn)) missing.add(word.trim().toLowerCase());
    } else put(value === '' ? (other ?? '') : value);
  }
  put(text.slice(at));
  // What isn't ended was no condition.
  while (parts.length > 1) {
    const part = parts.pop();
    put(`${part?.opened ?? ''}${part?.text ?? ''}`);
  }
  return { text: parts[0]?.text ?? '', missing: [...missing] };
}
