import type { AnniversaryDate } from '@/core/card';

import type { ContentLine } from '../../contentLines/contentLine';
import { readTextList, unescapeText } from '../../contentLines/text';
import { readDate, readTimestamp } from '../dates';
import { addEntry, type Draft, type PropertyReader } from './draft';
import { readUse } from './readUse';

function anniversaryReader(kind: 'birth' | 'death' | 'wedding'): PropertyReader {
  return (draft, line) => {
    const [omitted, params] = omittedYear(line);
    const found = line.params['VALUE']?.[0]?.toLowerCase() === 'text' ? undefined : readDate(line.value);
    const read = found && { ...found, date: withoutYear(found.date, omitted) };
    if (!read) {
      const message = `${line.name} ${line.value.slice(0, 40)} is no date of the calendar; it is kept as it was written`;
      draft.problems.push({ code: 'unreadable-value', line: line.line, message, text: line.value });
      return undefined;
    }
    const calendarScale = line.params['CALSCALE']?.[0];
    return addEntry(draft, 'anniversaries', line, {
      kind,
      date: calendarScale === undefined || 'utc' in read.date ? read.date : { ...read.date, calendarScale },
      ...(read.time === undefined ? {} : { 'cordialis.example:time': read.time }),
      ...readUse(draft, { ...line, params }, undefined, ['CALSCALE']),
    });
  };
}

/** The year that phones write where none is known (common practice): a leap year that nobody alive was born in. */
const NO_YEAR = 1604;

/** The year that a parameter says to leave out, and the others. */
function omittedYear({ params }: ContentLine): [number, ContentLine['params']] {
  const name = Object.keys(params).find((one) => one.endsWith('OMIT-YEAR'));
  if (name === undefined) return [NO_YEAR, params];
  const { [name]: years, ...others } = params;
  return [Number(years?.[0]), others];
}

function withoutYear(date: AnniversaryDate, omitted: number): AnniversaryDate {
  if ('utc' in date || date.year !== omitted || date.month === undefined) return date;
  const { year: _, ...rest } = date;
  return rest;
}

/** BIRTHPLACE and DEATHPLACE (RFC 6474 §2) belong to the day of the same kind. */
function placeReader(kind: 'birth' | 'death'): PropertyReader {
  return (draft, line) => {
    const [id, entry] =
      Object.entries(draft.card.anniversaries ?? {}).find(([, day]) => day.kind === kind) ?? [];
    if (!entry || id === undefined || Object.keys(line.params).some((name) => name !== 'VALUE'))
      return undefined;
    const value = unescapeText(line.value);
    entry.place = value.startsWith('geo:') ? { coordinates: value } : { full: value };
    return ['anniversaries', id, 'place'];
  };
}

const readNote: PropertyReader = (draft, line) => {
  const note = unescapeText(line.value);
  if (note.trim() === '') return undefined;
  const created = readTimestamp(line.params['CREATED']?.[0] ?? '');
  const [name, uri] = [line.params['AUTHOR-NAME']?.[0], line.params['AUTHOR']?.[0]];
  const author = { ...(name === undefined ? {} : { name }), ...(uri === undefined ? {} : { uri }) };
  return addEntry(draft, 'notes', line, {
    note,
    ...(created === undefined ? {} : { created }),
    ...(Object.keys(author).length === 0 ? {} : { author }),
    ...readUse(draft, line, undefined, [
      'AUTHOR',
      'AUTHOR-NAME',
      ...(created === undefined ? [] : ['CREATED']),
    ]),
  });
};

const readCategories: PropertyReader = (draft, line) => {
  const words = readTextList(line.value);
  if (words.length === 0 || Object.keys(line.params).length > 0) return undefined;
  draft.card.keywords = {
    ...draft.card.keywords,
    ...Object.fromEntries(words.map((word) => [word, true as const])),
  };
  return ['keywords'];
};

/** RFC 6715 §2: levels are high, medium, low, but for expertise expert, average, beginner (RFC 9555 §2.12.1). */
const LEVELS: Record<string, string> = { expert: 'high', average: 'medium', beginner: 'low' };

function infoReader(kind: 'expertise' | 'hobby' | 'interest'): PropertyReader {
  return (draft, line) => {
    const value = unescapeText(line.value).trim();
    if (value === '') return undefined;
    const level = line.params['LEVEL']?.[0]?.toLowerCase();
    const listAs = Number(line.params['INDEX']?.[0]);
    return addEntry(draft, 'personalInfo', line, {
      kind,
      value,
      ...(level === undefined ? {} : { level: LEVELS[level] ?? level }),
      ...(Number.isInteger(listAs) && listAs > 0 ? { listAs } : {}),
      ...readUse(draft, line, undefined, ['LEVEL', 'INDEX']),
    });
  };
}

function textReader(property: 'kind' | 'language' | 'prodId' | 'uid'): PropertyReader {
  return (draft, line) => {
    const text = unescapeText(line.value).trim();
    if (text === '') return undefined;
    draft.card[property] = property === 'kind' ? text.toLowerCase() : text;
    return [property];
  };
}

function momentReader(property: 'created' | 'updated'): PropertyReader {
  return (draft: Draft, line: ContentLine) => {
    const moment = readTimestamp(line.value);
    if (moment === undefined) return undefined;
    draft.card[property] = moment;
    return [property];
  };
}

/** Readers of what else is known about a card, and of the card as a record. */
export const detailReaders: Record<string, PropertyReader> = {
  BDAY: anniversaryReader('birth'),
  DEATHDATE: anniversaryReader('death'),
  ANNIVERSARY: anniversaryReader('wedding'),
  BIRTHPLACE: placeReader('birth'),
  DEATHPLACE: placeReader('death'),
  NOTE: readNote,
  CATEGORIES: readCategories,
  EXPERTISE: infoReader('expertise'),
  HOBBY: infoReader('hobby'),
  INTEREST: infoReader('interest'),
  KIND: textReader('kind'),
  LANGUAGE: textReader('language'),
  PRODID: textReader('prodId'),
  UID: textReader('uid'),
  REV: momentReader('updated'),
  CREATED: momentReader('created'),
};
