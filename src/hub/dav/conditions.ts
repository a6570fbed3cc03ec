import { texts } from '@/texts/sync/dav';

import { DavError } from './davError';
import type { DavRequest } from './davRequest';

/** RFC 9110 §13.1: nothing the device hasn't seen is overwritten. @throws DavError 412 */
export function checkConditions({ header }: Pick<DavRequest, 'header'>, etag: string | undefined): void {
  const [match, none] = [header('if-match'), header('if-none-match')];
  const isThere = (text: string) =>
    etag !== undefined && (text.trim() === '*' || tagsIn(text).includes(etag));
  if (match !== undefined && !isThere(match)) throw new DavError(412, texts.cardHasChanged);
  if (none !== undefined && isThere(none)) throw new DavError(412, texts.cardIsThereAlready);
}

/** The entity tags that a condition names. */
export function tagsIn(text: string): string[] {
  return text.split(',').map((tag) => tag.trim());
}
