import { isObject } from '@/core/base';

/**
 * A value of a card as it is read: a text as it stands, anything else part by part, without what only programs read; ''
 * where nothing is left.
 */
export function valueText(value: unknown): string {
  if (typeof value === 'string') return value.startsWith('data:') ? '' : value;
  if (Array.isArray(value)) return value.map(valueText).filter(Boolean).join(' ');
  if (isObject(value)) {
    for (const whole of ['value', 'full']) if (typeof value[whole] === 'string') return value[whole];
    return Object.entries(value)
      .filter(([key]) => !['kind', 'blobId', 'mediaType', 'isOrdered'].includes(key) && !key.startsWith('@'))
      .map(([key, part]) => (part === true ? key : valueText(part)))
      .filter(Boolean)
      .join(' ');
  }
  return value === undefined || value === null ? '' : String(value);
}
