import { hashText } from '@/core/base';

/**
 * A uid for a card that came without one: the same text always gives the same, so that reading a file twice adds
 * nothing. A UUID of version 8 (RFC 9562 §5.8) around a hash of the text.
 */
export function uidFromText(text: string): string {
  const hex = hashText(text);
  const variant = ((parseInt(hex.charAt(16), 16) & 3) | 8).toString(16);
  const groups = [
    hex.slice(0, 8),
    hex.slice(8, 12),
    `8${hex.slice(13, 16)}`,
    variant + hex.slice(17, 20),
    hex.slice(20),
  ];
  return `urn:uuid:${groups.join('-')}`;
}
