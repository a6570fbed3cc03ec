import { foldedWords } from '@/core/base';

import { KM_PER_MILE } from '../places/distance';
import type { DocKind, Field } from '../rules/fields';
import { NEAR_KM } from '../rules/parseLimits';
import { readAges, readBirthdays, readDue } from './limitDays';
import { listAt, lows, one, phraseAt, type Reader, type ReadLimit } from './limitParts';
import { readClose, readSince, readTalks } from './limitTalks';
import type { LineBook } from './lineBook';
import { MONTHS } from './lineDays';
import type { LineToken } from './lineTokens';
import { FIELD_NOUNS, ROLES } from './lineWords.data';

const KINDS: Readonly<Record<string, DocKind>> = {
  ...{
    people: 'person',
    persons: 'person',
    person: 'person',
    organisations: 'organisation',
    organizations: 'organisation',
    firms: 'organisation',
    companies: 'organisation',
  },
};

/** A limit, in whatever way it is said. */
export function readLimitWords(
  tokens: readonly LineToken[],
  book: LineBook,
  today: string,
): ReadLimit | undefined {
  for (const read of READERS) {
    const found = read(tokens, book, today);
    if (found) return found;
  }
  for (const read of BARE) {
    const found = read(tokens, book, today);
    if (found) return read === readRole ? found : { ...found, isBare: true };
  }
  return undefined;
}

const readOrder: Reader = (tokens) => {
  const closest = phraseAt(tokens, ['closest first', 'closest', 'by closeness', 'sorted by closeness']);
  if (closest !== undefined) return { order: 'closeness', taken: closest };
  const last = phraseAt(tokens, [
    'by last talk',
    'last talk first',
    'latest talk first',
    'sorted by last talk',
  ]);
  return last === undefined ? undefined : { order: 'lastTalk', taken: last };
};

const readKind: Reader = (tokens) => {
  const kind = KINDS[tokens[0]?.low ?? ''];
  return kind && one({ kind: 'card', card: kind }, 1);
};

const readFlag: Reader = (tokens) => {
  const flag = tokens[0]?.low;
  if (flag !== 'pinned' && flag !== 'archived' && flag !== 'private') return undefined;
  return one({ kind: 'flag', flag }, tokens[1]?.low === 'cards' ? 2 : 1);
};

const readList: Reader = (tokens, book) => {
  const lead = phraseAt(tokens, [
    'is on the list',
    'are on the list',
    'on the list',
    'on list',
    'is on',
    'are on',
    'on the',
    'on',
  ]);
  const list = lead === undefined ? undefined : listAt(tokens, lead, book);
  return list && one({ kind: 'list', list: list.uid }, list.end);
};

/** A list or a tag by its whole name alone, beside other limits: "patrons in london". */
const readBareGroup: Reader = (tokens, book) => {
  const [first] = tokens;
  if (!first) return undefined;
  for (let count = Math.min(4, tokens.length); count > 0; count -= 1) {
    const words = tokens.slice(0, count).map(({ raw }) => raw);
    const list = book.list(words);
    if (list?.isWhole === true) return one({ kind: 'list', list: list.uid }, count);
  }
  return book.hasTag(first.raw) ? one({ kind: 'words', field: 'tag', value: first.raw }, 1) : undefined;
};

const readTag: Reader = (tokens) => {
  const [first] = tokens;
  if (first && /^#\S/.test(first.raw))
    return one({ kind: 'words', field: 'tag', value: first.raw.slice(1) }, 1);
  const lead = phraseAt(tokens, ['with the tag', 'with tag', 'is tagged', 'tagged', 'tag']);
  const value = lead === undefined ? undefined : tokens[lead]?.raw;
  return value === undefined || lead === undefined
    ? undefined
    : one({ kind: 'words', field: 'tag', value }, lead + 1);
};

const readPlace: Reader = (tokens, book) => {
  const lead = phraseAt(tokens, [
    'who lives in',
    'living in',
    'lives in',
    'live in',
    'based in',
    'is in',
    'in',
  ]);
  if (lead === undefined || tokens.length <= lead) return undefined;
  if (/^\d/.test(tokens[lead]?.raw ?? '') || MONTHS.includes(tokens[lead]?.low ?? '')) return undefined;
  const count = textUntilLimit(tokens, lead, book);
  return one({ kind: 'words', field: 'place', value: valueOf(tokens, lead, count) }, lead + count);
};

const readNear: Reader = (tokens, book) => {
  let lead = phraseAt(tokens, ['near to', 'near', 'close to', 'around']);
  let km = NEAR_KM;
  if (lead === undefined) {
    const match =
      /^(?:within|less than) (\d+(?:[.,]\d+)?) ?(km|kilometres?|miles?|mi) (?:of|from|around)(?= |$)/.exec(
        lows(tokens).slice(0, 5).join(' '),
      );
    if (!match) return undefined;
    km =
      Math.round(
        Number((match[1] ?? '').replace(',', '.')) * (/^mi/.test(match[2] ?? '') ? KM_PER_MILE : 1) * 10,
      ) / 10;
    lead = match[0].split(' ').length;
  }
  if (tokens.length <= lead || !(km > 0)) return undefined;
  const count = textUntilLimit(tokens, lead, book);
  return one({ kind: 'near', place: valueOf(tokens, lead, count), km }, lead + count);
};

const readOrganisation: Reader = (tokens, book) => {
  const lead = phraseAt(tokens, [
    'who works at',
    'who works for',
    'working at',
    'works at',
    'works for',
    'work at',
    'from',
    'at',
  ]);
  if (lead === undefined || tokens.length <= lead) return undefined;
  const count = textUntilLimit(tokens, lead, book);
  return one({ kind: 'words', field: 'organisation', value: valueOf(tokens, lead, count) }, lead + count);
};

/** A place by its name alone, beside other limits: "oboe bologna". */
const readBarePlace: Reader = (tokens, book) => {
  for (let count = Math.min(3, tokens.length); count > 0; count -= 1) {
    const words = tokens.slice(0, count).map(({ raw }) => raw);
    if (book.hasPlace(words) && words.join('').length > 3)
      return one({ kind: 'words', field: 'place', value: words.join(' ') }, count);
  }
  return undefined;
};

/** What people do: "violinists", "who plays the cello", "the tuner". */
const readRole: Reader = (tokens, book) => {
  const plays = phraseAt(tokens, [
    'who plays the',
    'who plays',
    'plays the',
    'plays',
    'playing the',
    'playing',
    'who is a',
    'who are',
    'the',
  ]);
  const from = plays ?? 0;
  const word = tokens[from]?.low ?? '';
  const role = roleOf(word, book);
  return role === undefined ? undefined : one({ kind: 'words', field: 'title', value: role }, from + 1);
};

function roleOf(word: string, book: LineBook): string | undefined {
  for (const form of [word, word.replace(/s$/, ''), word.replace(/ies$/, 'y')]) {
    const played = ROLES[form];
    if (played !== undefined) return book.hasRole(foldedWords(played)[0] ?? '') ? played : undefined;
    const folded = foldedWords(form)[0] ?? '';
    if (folded.length > 3 && book.hasRole(folded)) return form;
  }
  return undefined;
}

const DAY_FIELDS: Readonly<Record<string, 'birth' | 'wedding'>> = {
  birthday: 'birth',
  birthdays: 'birth',
  wedding: 'wedding',
};

const readFilled: Reader = (tokens) => {
  const not = phraseAt(tokens, [
    'without a',
    'without an',
    'without',
    'has no',
    'have no',
    'with no',
    'no',
    'lacking',
  ]);
  const has = phraseAt(tokens, [
    'who has a',
    'who has',
    'has a',
    'has an',
    'have a',
    'has',
    'with a',
    'with an',
    'with',
  ]);
  const lead = not ?? has;
  if (lead === undefined) return undefined;
  const word = tokens[lead]?.low ?? '';
  const day = DAY_FIELDS[word];
  const known: Readonly<Record<string, Field>> = {
    ...{
      number: 'number',
      mail: 'mail',
      address: 'street',
      town: 'place',
      web: 'web',
      organisation: 'organisation',
      title: 'title',
      note: 'note',
      tag: 'tag',
      tags: 'tag',
      nickname: 'nickname',
      'number:mobile': 'number',
    },
  };
  const noun = FIELD_NOUNS[word];
  const field = day ?? (noun === undefined ? undefined : known[noun]);
  if (field === undefined) return undefined;
  return one({ kind: 'filled', field, ...(not === undefined ? {} : { not: true as const }) }, lead + 1);
};

/** How many words a text has until the next limit or a comma. */
function textUntilLimit(tokens: readonly LineToken[], from: number, book: LineBook): number {
  let count = 1;
  while (from + count < tokens.length && !/[,;]/.test(tokens[from + count - 1]?.sign ?? '')) {
    const rest = tokens.slice(from + count);
    const low = rest[0]?.low ?? '';
    if (['and', 'or', 'but', 'not'].includes(low)) break;
    if (
      [readList, readTag, readFilled, readOrder, readFlag, readTalks, readAges].some((read) =>
        read(rest, book, '2000-01-01'),
      )
    )
      break;
    if (['in', 'at', 'near', 'within'].includes(low) && rest.length > 1) break;
    count += 1;
  }
  return count;
}

function valueOf(tokens: readonly LineToken[], from: number, count: number): string {
  return tokens
    .slice(from, from + count)
    .map(({ raw }) => raw)
    .filter((word, i) => !(i === 0 && /^the$/i.test(word) && count > 1))
    .join(' ');
}

/** In the order in which they are tried. */
const READERS: readonly Reader[] = [
  ...[
    readOrder,
    readBirthdays,
    readAges,
    readTalks,
    readDue,
    readSince,
    readClose,
    readFlag,
    readTag,
    readList,
  ],
  ...[readFilled, readNear, readPlace, readOrganisation, readKind],
];

/** Limits that are a word alone, which may as well be one to be found. */
const BARE: readonly Reader[] = [readBareGroup, readRole, readBarePlace];
