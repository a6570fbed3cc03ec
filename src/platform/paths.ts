/** What a card's address may go on with: its form, or a talk that is about to be noted. */
export type CardPagePart = '' | '/edit' | '?talk=new';

/** The address of a card. A uid's urn:uuid: goes without saying. */
export function cardPath(uid: string, page: CardPagePart = ''): string {
  return `/book/${encodeURIComponent(uid.replace(/^urn:uuid:/, ''))}${page}`;
}

/** The address of a list. */
export function listPath(uid: string): string {
  return `/lists/${encodeURIComponent(uid.replace(/^urn:uuid:/, ''))}`;
}

/** The ids of the Book's rows on the page begin so. */
export const ROW_ID = 'row-';

/** Ids of the rows of the day's page begin with it. */
export const DAY_ROW_ID = 'day-';

/** The uid that an address names. */
export function uidFromPath(part: string): string {
  const isUuid = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/i.test(part);
  return isUuid ? `urn:uuid:${part}` : part;
}

/** The address at which some cards stand side by side. */
export function comparePath(uids: readonly string[]): string {
  return `/tidy/compare?cards=${uids.map((uid) => encodeURIComponent(uid)).join(',')}`;
}
