import { type Card, getAt } from '@/core/card';

import type { ContentLine } from '../../contentLines/contentLine';
import { readCompound, unescapeText } from '../../contentLines/text';
import { ADR_KINDS } from './readAddressComponents';
import { N_KINDS } from './readNaming';

/** What a name and an address have in common where pronunciation is concerned (RFC 9553 §1.5.4). */
interface Spoken {
  components?: { kind: string; value: string; phonetic?: string }[];
  phoneticSystem?: string;
  phoneticScript?: string;
  'cordialis.example:phoneticLanguage'?: string;
}

/**
 * N or ADR with PHONETIC (RFC 9554 §4.6) says how the components of the property with the same ALTID are spoken.
 *
 * @param path - where that property went
 * @returns false where nothing of it fits, so that it is kept otherwise
 */
export function readPhonetic(card: Card, line: ContentLine, path: readonly string[] | undefined): boolean {
  const system = line.params['PHONETIC']?.[0];
  const kinds: readonly string[] | undefined = { N: N_KINDS, ADR: ADR_KINDS }[line.name];
  if (system === undefined || !kinds || !path) return false;
  const spoken = getAt(card, path) as Spoken | undefined;
  const places = readCompound(line.value);
  const taken = new Map<string, number>();
  let count = 0;
  for (const component of spoken?.components ?? []) {
    const index = taken.get(component.kind) ?? 0;
    taken.set(component.kind, index + 1);
    const sound = places[kinds.indexOf(component.kind)]?.[index];
    if (sound === undefined) continue;
    component.phonetic = sound;
    count += 1;
  }
  // What isn't said about any component would be lost.
  if (!spoken || count !== places.flat().length) {
    for (const component of spoken?.components ?? []) delete component.phonetic;
    return false;
  }
  const [script, language] = [line.params['SCRIPT']?.[0], line.params['LANGUAGE']?.[0]];
  if (system.toLowerCase() !== 'script') spoken.phoneticSystem = system;
  if (script !== undefined) spoken.phoneticScript = script;
  if (language !== undefined) spoken['cordialis.example:phoneticLanguage'] = language;
  return true;
}

/** Common practice before RFC 9554: a property of its own for each part. */
const PHONETIC_KINDS: Readonly<Record<string, string>> = {
  'X-PHONETIC-FIRST-NAME': 'given',
  'X-PHONETIC-MIDDLE-NAME': 'given2',
  'X-PHONETIC-LAST-NAME': 'surname',
};

/** The older properties, by their names; used where there is exactly one component of the kind. */
export const OLDER_PHONETIC = Object.keys(PHONETIC_KINDS);

/** Reads one of the older properties; gives where it went, or undefined where it can't be used. */
export function readOlderPhonetic(card: Card, line: ContentLine): readonly string[] | undefined {
  const kind = PHONETIC_KINDS[line.name];
  const same = (card.name?.components ?? []).filter((component) => component.kind === kind);
  const [only] = same;
  const sound = unescapeText(line.value).trim();
  if (!only || same.length !== 1 || sound === '' || only.phonetic !== undefined) return undefined;
  if (Object.keys(line.params).length > 0) return undefined;
  only.phonetic = sound;
  return ['name', 'components'];
}
