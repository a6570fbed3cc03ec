import fc from 'fast-check';

import { type Card, parseCard } from '@/core/card';
import { ADDRESS_KINDS } from '@/core/card/schema/addressSchema';
import { PHONE_FEATURES } from '@/core/card/schema/contactSchema';
import { NAME_KINDS } from '@/core/card/schema/nameSchema';

/** Text as files hold it: any script, signs of the syntaxes, line breaks; no control characters. */
const text = fc
  .oneof(
    fc.string({ unit: 'grapheme', maxLength: 10 }),
    fc.string({ minLength: 20, maxLength: 90 }),
    fc.constantFrom(
      'a;b',
      'x,y',
      'back\\slash',
      'two\nlines',
      '"quoted"',
      '^n',
      'ö\u0308',
      '田中 陽子',
      ' ',
      ':',
      '\\n',
    ),
  )
  // eslint-disable-next-line no-control-regex
  .map((value) =>
    value.replace(/[\u0000-\u0009\u000b-\u001f\u007f-\u009f\ufeff\ufffd]/g, '').replace(/\p{Cs}/gu, ''),
  );
/** Edits refuse the one name that is no plain property (patch.test.ts says so). */
const isPlain = (key: string) => key !== '__proto__';
const word = text.filter((value) => value.trim() !== '' && isPlain(value));
const id = fc.stringMatching(/^[A-Za-z0-9_-]{1,12}$/).filter(isPlain);
const moment = fc
  .date({ min: new Date('1900-01-01'), max: new Date('2100-01-01'), noInvalidDate: true })
  .map((date) => `${date.toISOString().slice(0, 19)}Z`);
const set = (...values: string[]) =>
  fc
    .uniqueArray(fc.constantFrom(...values), { minLength: 1 })
    .map((keys) => Object.fromEntries(keys.map((k) => [k, true])));
const use = {
  contexts: set('private', 'work'),
  pref: fc.integer({ min: 1, max: 100 }),
  label: word,
};
const rec = <T extends Record<string, fc.Arbitrary<unknown>>>(
  must: T,
  may: Record<string, fc.Arbitrary<unknown>> = {},
) => fc.record({ ...must, ...may }, { requiredKeys: Object.keys(must) });
const entries = (entry: fc.Arbitrary<unknown>) => fc.dictionary(id, entry, { minKeys: 1, maxKeys: 3 });
const partial = fc.oneof(
  rec({ year: fc.integer({ min: 0, max: 9999 }) }),
  rec({
    year: fc.integer({ min: 1, max: 9999 }),
    month: fc.integer({ min: 1, max: 12 }),
    day: fc.integer({ min: 1, max: 28 }),
  }),
  rec({ month: fc.integer({ min: 1, max: 12 }), day: fc.integer({ min: 1, max: 29 }) }),
  rec({ '@type': fc.constant('Timestamp'), utc: moment }),
);
const components = (kinds: readonly string[]) =>
  rec(
    {
      components: fc.array(
        rec({ kind: fc.constantFrom(...kinds, 'x-other'), value: word }, { phonetic: word }),
        { minLength: 1, maxLength: 6 },
      ),
    },
    {
      isOrdered: fc.boolean(),
      defaultSeparator: text,
      full: word,
      phoneticSystem: fc.constantFrom('ipa', 'piny'),
      phoneticScript: fc.constant('Latn'),
    },
  );
const service = fc.oneof(
  rec({ uri: fc.webUrl() }, { service: word, user: word }),
  rec({ user: word }, { service: word }),
);
const uri = rec({ uri: fc.webUrl() }, { ...use, mediaType: fc.constant('text/plain') });

/** Any card of RFC 9553, with unknown and vendor properties, as files of other makers may bring it. */
export const arbitraryCard: fc.Arbitrary<Card> = rec(
  {
    '@type': fc.constant('Card'),
    version: fc.constant('1.0'),
    uid: fc.oneof(
      fc.uuid().map((u) => `urn:uuid:${u}`),
      fc.stringMatching(/^[\w-]{1,20}$/),
    ),
  },
  {
    name: fc.oneof(
      rec({ full: word }),
      components(NAME_KINDS),
      rec({ full: word, sortAs: fc.constant({ surname: 'Z' }) }),
    ),
    kind: fc.constantFrom('individual', 'org', 'group', 'location', 'x-pet'),
    language: fc.constantFrom('en', 'de-AT'),
    created: moment,
    updated: moment,
    prodId: word,
    members: set('urn:uuid:03a0e51f-d1aa-4385-8a53-e29025acd8af', 'x'),
    relatedTo: fc.dictionary(
      fc.stringMatching(/^[\w:-]{1,20}$/).filter(isPlain),
      rec({}, { relation: set('friend', 'spouse') }),
      { minKeys: 1, maxKeys: 2 },
    ),
    nicknames: entries(rec({ name: word }, use)),
    organizations: entries(
      rec(
        { name: word },
        { ...use, units: fc.array(rec({ name: word }, { sortAs: word }), { maxLength: 2 }), sortAs: word },
      ),
    ),
    speakToAs: rec(
      {},
      {
        grammaticalGender: fc.constantFrom('feminine', 'neuter'),
        pronouns: entries(rec({ pronouns: word }, use)),
      },
    ),
    titles: entries(
      rec({ name: word }, { ...use, kind: fc.constantFrom('title', 'role'), organizationId: id }),
    ),
    emails: entries(rec({ address: word }, use)),
    phones: entries(
      rec(
        { number: fc.oneof(word, fc.constant('tel:+1-555-0100')) },
        { ...use, features: set(...PHONE_FEATURES) },
      ),
    ),
    onlineServices: entries(service),
    preferredLanguages: entries(rec({ language: fc.constantFrom('en', 'sv') }, use)),
    addresses: entries(
      fc
        .tuple(
          components(ADDRESS_KINDS),
          rec(
            {},
            {
              ...use,
              countryCode: fc.constant('GB'),
              coordinates: fc.constant('geo:1,2'),
              timeZone: fc.constant('Europe/London'),
            },
          ),
        )
        .map(([a, b]) => ({ ...a, ...b })),
    ),
    links: entries(uri),
    cryptoKeys: entries(uri),
    calendars: entries(rec({ uri: fc.webUrl(), kind: fc.constantFrom('calendar', 'freeBusy') }, use)),
    directories: entries(
      rec(
        { uri: fc.webUrl(), kind: fc.constantFrom('directory', 'entry') },
        { listAs: fc.integer({ min: 1, max: 9 }) },
      ),
    ),
    schedulingAddresses: entries(rec({ uri: fc.emailAddress().map((mail) => `mailto:${mail}`) }, use)),
    media: entries(
      fc.oneof(
        rec({ kind: fc.constantFrom('photo', 'logo', 'sound'), uri: fc.webUrl() }, use),
        rec(
          {
            kind: fc.constant('photo'),
            uri: fc.base64String().map((data) => `data:image/png;base64,${data}`),
          },
          { pref: fc.constant(1) },
        ),
        rec({ kind: fc.constant('photo'), blobId: word }),
      ),
    ),
    anniversaries: entries(
      rec(
        { kind: fc.constantFrom('birth', 'death', 'wedding', 'x-first-concert'), date: partial },
        { place: rec({ full: word }), label: word },
      ),
    ),
    keywords: fc.dictionary(word, fc.constant(true), { minKeys: 1, maxKeys: 4, noNullPrototype: true }),
    notes: entries(rec({ note: word }, { ...use, created: moment, author: rec({ name: word }) })),
    personalInfo: entries(
      rec(
        { kind: fc.constantFrom('expertise', 'hobby', 'interest', 'x-fear'), value: word },
        { ...use, level: fc.constantFrom('high', 'medium', 'low'), listAs: fc.integer({ min: 1, max: 9 }) },
      ),
    ),
    localizations: fc.constant({ fr: { 'titles/t1/name': 'Patron' } }),
    vCardProps: fc.constant([['x-thing', { group: 'item7' }, 'unknown', 'a\\,b']]),
    'cordialis.example:rhythm': fc.constant({ every: 6, unit: 'week' }),
    'cordialis.example:opener': word,
    'cordialis.example:pinned': fc.boolean(),
    'example.com:other': fc.jsonValue({ maxDepth: 2 }).filter((value) => value !== null),
  },
).map((value) => {
  const parsed = parseCard(JSON.parse(JSON.stringify(value)));
  if (parsed.kind === 'fault') throw new Error(`the generator made no card: ${parsed.message}`);
  return parsed.card;
});
