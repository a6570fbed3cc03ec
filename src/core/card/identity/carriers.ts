import type { United } from './compareEntries';

const CARRIERS: Partial<Readonly<Record<United, readonly string[]>>> = {
  ...{ phones: ['number'], emails: ['address'], organizations: ['name'], titles: ['name'], notes: ['note'] },
  ...{ nicknames: ['name'], preferredLanguages: ['language'], personalInfo: ['value'], links: ['uri'] },
  ...{ calendars: ['uri'], directories: ['uri'], schedulingAddresses: ['uri'], cryptoKeys: ['uri'] },
  ...{ onlineServices: ['service', 'user', 'uri'], anniversaries: ['date'] },
  ...{ addresses: ['components', 'full', 'isOrdered', 'defaultSeparator'] },
  ...{ 'cordialis.example:fields': ['label', 'value'] },
};

/** The properties by which entries of a collection are compared: of two that say the same the better one stands. */
export function carriersOf(collection: United): readonly string[] {
  return CARRIERS[collection] ?? [];
}
