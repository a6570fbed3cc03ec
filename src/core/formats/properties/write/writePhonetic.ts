import type { Params } from '../../contentLines/contentLine';
import { escapePart, escapeText } from '../../contentLines/text';
import { type PropertySheet, writeEntry } from './writeEntry';

interface Spoken {
  readonly components?: readonly { readonly kind: string; readonly phonetic?: string }[];
  readonly phoneticSystem?: string;
  readonly phoneticScript?: string;
}

/**
 * Whether PHONETIC (RFC 9554 §4.6) can say how something is spoken: it needs a system or a script, and a component that has a place.
 *
 * @param kinds - of components, by their places
 */
export function isWrittenAsPhonetic(
  { version }: PropertySheet,
  spoken: Spoken,
  kinds: readonly string[],
): boolean {
  if (!version.hasLongNames || (spoken.phoneticSystem ?? spoken.phoneticScript) === undefined) return false;
  return (spoken.components ?? []).some(
    ({ kind, phonetic }) => phonetic !== undefined && kinds.includes(kind),
  );
}

/** The same property once more, with what each component sounds like in its place. */
export function writePhonetic(
  sheet: PropertySheet,
  name: 'N' | 'ADR',
  spoken: Spoken,
  kinds: readonly string[],
  altId: string,
): void {
  const places: string[][] = kinds.map(() => []);
  for (const { kind, phonetic } of spoken.components ?? []) {
    // Every component of the kind takes its place, so that those behind it are found.
    places[kinds.indexOf(kind)]?.push(phonetic ?? '');
  }
  const language = (spoken as Record<string, unknown>)['cordialis.example:phoneticLanguage'];
  const params: Params = {
    ALTID: [altId],
    PHONETIC: [spoken.phoneticSystem ?? 'script'],
    ...(spoken.phoneticScript === undefined ? {} : { SCRIPT: [spoken.phoneticScript] }),
    ...(typeof language === 'string' ? { LANGUAGE: [language] } : {}),
  };
  // Before they are joined: a sound may end with a sign that parts them.
  const last = places.findLastIndex((sounds) => sounds.some(Boolean));
  const value = places.slice(0, last + 1).map((sounds) => sounds.map(escapePart).join(','));
  writeEntry(sheet, name, value.join(';'), {}, undefined, params);
}

const OLDER: Readonly<Record<string, string>> = {
  given: 'X-PHONETIC-FIRST-NAME',
  given2: 'X-PHONETIC-MIDDLE-NAME',
  surname: 'X-PHONETIC-LAST-NAME',
};

/** Common practice of vCard 3.0: a property for each part that is there once. */
export function writeOlderPhonetic(sheet: PropertySheet, { components = [] }: Spoken): void {
  for (const [kind, name] of Object.entries(OLDER)) {
    const same = components.filter((component) => component.kind === kind);
    const [only] = same;
    if (same.length === 1 && only?.phonetic !== undefined)
      writeEntry(sheet, name, escapeText(only.phonetic), {}, undefined);
  }
}
