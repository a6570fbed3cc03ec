import { toPartialDate } from '@/core/base';
import { type Card, formatName } from '@/core/card';

/** A text of the trial set and what stands in it. */
export interface Sample {
  /** Language and place in its file, such as "de 3". */
  readonly name: string;
  readonly text: string;
  /** ISO 3166-1 alpha-2: where the reader is; undefined for anywhere. */
  readonly country: string | undefined;
  /** Field and value, such as "town: Hamburg"; numbers in E.164. */
  readonly values: readonly string[];
}

/** Reads a file of the trial set: texts parted from their values by a line of ====, and from the next by ####. */
export function readSamples(language: string, file: string): Sample[] {
  return file.split(/^####\n/m).map((part, i) => {
    const [text = '', values = ''] = part.split(/^====\n/m);
    const lines = values.split('\n').filter(Boolean);
    const country = lines.find((line) => line.startsWith('reader: '))?.slice('reader: '.length);
    return {
      name: `${language} ${i + 1}`,
      text,
      country,
      values: lines.filter((line) => !line.startsWith('reader: ')),
    };
  });
}

/** What a card says, in the words of the trial set. */
export function valuesOf(card: Card): string[] {
  const values: string[] = [];
  const put = (field: string, value: string | undefined) =>
    value !== undefined && values.push(`${field}: ${value}`);
  const isOrg = card.kind === 'org';
  if (isOrg) put('kind', 'org');
  put(isOrg ? 'organisation' : 'name', card.name ? formatName(card.name) : undefined);
  const sounds = card.name?.components?.flatMap(({ phonetic }) => phonetic ?? []) ?? [];
  put('sounds', sounds.length > 0 ? sounds.join(' ') : undefined);
  for (const { name, units = [] } of Object.values(card.organizations ?? {})) {
    put('organisation', name);
    for (const unit of units) put('department', unit.name);
  }
  for (const { name } of Object.values(card.titles ?? {})) put('post', name);
  for (const { number, features = {} } of Object.values(card.phones ?? {}))
    put(
      features['mobile'] ? 'mobile' : features['fax'] && !features['voice'] ? 'fax' : 'phone',
      number.replace('tel:', ''),
    );
  for (const { address } of Object.values(card.emails ?? {})) put('mail', address);
  for (const { uri } of Object.values(card.links ?? {}))
    put('link', uri.replace(/^https?:\/\/(?:www\.)?|\/$/g, ''));
  for (const { user, uri } of Object.values(card.onlineServices ?? {})) put('account', user ?? uri);
  for (const { pronouns } of Object.values(card.speakToAs?.pronouns ?? {})) put('pronouns', pronouns);
  for (const { components = [], countryCode } of Object.values(card.addresses ?? {})) {
    for (const { kind, value } of components)
      put(ADDRESS_FIELDS[kind] ?? 'other', kind === 'country' ? undefined : value);
    put('country', countryCode);
  }
  for (const { date } of Object.values(card.anniversaries ?? {})) {
    const { year, month, day } = toPartialDate(date);
    put('birthday', [year, month, day].map((part) => String(part).padStart(2, '0')).join('-'));
  }
  return values;
}

const ADDRESS_FIELDS: Readonly<Record<string, string>> = {
  ...{ name: 'street', building: 'building', postOfficeBox: 'box', postcode: 'postcode', locality: 'town' },
  ...{ region: 'region' },
};
