import { texts } from '@/texts/sync/dav';

import { DavError } from './davError';
import type { DavRequest } from './davRequest';

/** RFC 9110 §13.1: nothing the device hasn't seen is overwritten. @throws DavError 412 */
export function checkConditions({ header }: Pick<DavRequest, 'header'>, etag: string | undefined): void {
  const [match, none] = [header('if-match'), header('if-none-match')];
  if (match !== undefined && !isNamed(match, etag, 'strong')) throw new DavError(412, texts.cardHasChanged);
  if (none !== undefined && isNamed(none, etag, 'weak')) throw new DavError(412, texts.cardIsThereAlready);
}

/** Whether a condition names what is there (RFC 9110 §8.8.3.2): by strong comparison a weak tag is never the same. */
export function isNamed(text: string, etag: string | undefined, comparison: 'strong' | 'weak'): boolean {
  if (etag === undefined) return false;
  const tags = comparison === 'strong' ? tagsIn(text) : tagsIn(text).map((tag) => tag.replace(/^W\//, ''));
  return text.trim() === '*' || tags.includes(etag);
}

/** The entity tags that a condition names. */
export function tagsIn(text: string): string[] {
  return text.split(',').map((tag) => tag.trim());
}
