import type { ContentLine, Params } from '../contentLines/contentLine';
import { escapePart, escapeText } from '../contentLines/text';
import { STRUCTURED, typeOf } from './valueTypes';

/**
 * Turns a property of jCard into one of vCard; the values of one of type unknown are left as they are (RFC 7095 §5.1).
 *
 * @param line - the property's number in its card, from 1, for reporting
 * @returns undefined where it is no property
 */
export function fromJcard(property: unknown, line: number): ContentLine | undefined {
  if (!Array.isArray(property)) return undefined;
  const [name, params, type, ...values] = property as unknown[];
  if (typeof name !== 'string' || typeof type !== 'string' || values.length === 0) return undefined;
  if (typeof params !== 'object' || params === null) return undefined;
  const upper = name.toUpperCase();
  const { group, ...rest } = params as Record<string, unknown>;
  const all: Params = {};
  for (const [key, value] of Object.entries(rest)) {
    all[key.toUpperCase()] = (Array.isArray(value) ? (value as unknown[]) : [value]).map(String);
  }
  if (type !== 'unknown' && type !== typeOf(upper)) all['VALUE'] = [type];
  const value = values.map((one) => formatValue(upper, type, one)).join(',');
  return { ...(typeof group === 'string' ? { group } : {}), name: upper, params: all, value, line };
}

function formatValue(name: string, type: string, value: unknown): string {
  if (type === 'unknown') return String(value);
  if (!Array.isArray(value))
    return STRUCTURED.has(name) ? escapePart(String(value)) : escapeText(String(value));
  return (value as unknown[])
    .map((part) =>
      (Array.isArray(part) ? (part as unknown[]) : [part]).map((one) => escapePart(String(one))).join(','),
    )
    .join(';');
}
