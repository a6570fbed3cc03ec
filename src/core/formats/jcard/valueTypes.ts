/** RFC 6350 §6: the value type of each property that isn't text unless VALUE says otherwise; in jCard's names. */
const TYPES: Readonly<Record<string, string>> = {
  BDAY: 'date-and-or-time',
  DEATHDATE: 'date-and-or-time',
  ANNIVERSARY: 'date-and-or-time',
  REV: 'timestamp',
  CREATED: 'timestamp',
  LANG: 'language-tag',
  LANGUAGE: 'language-tag',
  ...Object.fromEntries(
    [
      ...['SOURCE', 'PHOTO', 'LOGO', 'SOUND', 'IMPP', 'GEO', 'MEMBER', 'RELATED', 'UID', 'URL', 'KEY'],
      ...['FBURL', 'CALADRURI', 'CALURI', 'CONTACT-URI', 'ORG-DIRECTORY', 'SOCIALPROFILE'],
    ].map((name) => [name, 'uri']),
  ),
};

const TEXTS = new Set([
  ...['VERSION', 'FN', 'N', 'NICKNAME', 'TEL', 'EMAIL', 'ADR', 'ORG', 'TITLE', 'ROLE', 'NOTE', 'CATEGORIES'],
  ...['KIND', 'GENDER', 'TZ', 'PRODID', 'BIRTHPLACE', 'DEATHPLACE', 'EXPERTISE', 'HOBBY', 'INTEREST'],
  ...['GRAMGENDER', 'PRONOUNS', 'JSPROP', 'X-ABLABEL'],
]);

/** The value type a property has where nothing else is said; 'unknown' for one that no standard here names. */
export function typeOf(name: string): string {
  return TYPES[name] ?? (TEXTS.has(name) ? 'text' : 'unknown');
}

/** RFC 7095 §3.3.1.3: properties whose value has parts. */
export const STRUCTURED = new Set(['N', 'ADR', 'ORG', 'GENDER']);

/** RFC 7095 §3.3.1.2: properties with several values. */
export const MULTIPLE = new Set(['NICKNAME', 'CATEGORIES']);
