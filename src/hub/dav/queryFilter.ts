import { childOf, childrenOf, foldText, type XmlElement } from '@/core/base';
import type { Card } from '@/core/card';
import { type ContentLine, unescapeText } from '@/core/formats';
import { linesOf, queriedLines, type Words } from '@/hub/sync';

import { DavError } from './davError';
import { card as carddav } from './names';

/** RFC 6352 §10.5.4. */
interface TextMatch {
  readonly text: string;
  readonly collation: string;
  readonly kind: string;
  readonly isNegated: boolean;
}

interface ParamFilter {
  readonly name: string;
  readonly isNot: boolean;
  readonly match: TextMatch | undefined;
}

/** RFC 6352 §10.5.1. */
interface PropFilter {
  readonly name: string;
  readonly isNot: boolean;
  readonly isAll: boolean;
  readonly matches: readonly TextMatch[];
  readonly params: readonly ParamFilter[];
}

/** A filter for cards. */
export interface Filter {
  readonly isAll: boolean;
  readonly props: readonly PropFilter[];
}

const COLLATIONS = ['i;unicode-casemap', 'i;ascii-casemap', 'default', ''];
const KINDS = ['contains', 'equals', 'starts-with', 'ends-with'];

/** Reads a filter (RFC 6352 §10.5). @throws DavError for a collation or a filter that isn't known */
export function readFilter(element: XmlElement | undefined): Filter {
  const props = childrenOf(element, carddav('prop-filter')).map((one): PropFilter => ({
    name: (one.attributes['name'] ?? '').toUpperCase(),
    isNot: childOf(one, carddav('is-not-defined')) !== undefined,
    isAll: one.attributes['test'] === 'allof',
    matches: childrenOf(one, carddav('text-match')).map(readMatch),
    params: childrenOf(one, carddav('param-filter')).map((param) => {
      const match = childOf(param, carddav('text-match'));
      return {
        name: (param.attributes['name'] ?? '').toUpperCase(),
        isNot: childOf(param, carddav('is-not-defined')) !== undefined,
        match: match ? readMatch(match) : undefined,
      };
    }),
  }));
  if (props.some(({ name }) => name === ''))
    throw new DavError(403, 'a filter has no name', carddav('supported-filter'));
  return { isAll: element?.attributes['test'] === 'allof', props };
}

function readMatch({ attributes, text }: XmlElement): TextMatch {
  const { collation = '', 'match-type': kind = 'contains', 'negate-condition': negate } = attributes;
  if (!COLLATIONS.includes(collation))
    throw new DavError(403, 'that collation is not known', carddav('supported-collation'));
  if (!KINDS.includes(kind))
    throw new DavError(403, 'that kind of match is not known', carddav('supported-filter'));
  return { text, collation, kind, isNegated: negate === 'yes' };
}

/** Whether a card matches. A filter without conditions matches every card. */
export function matchesFilter(card: Card, { isAll, props }: Filter): boolean {
  if (props.length === 0) return true;
  // Pictures are large, and nobody looks for a person by one.
  const isOfMedia = props.some(({ name }) => MEDIA.test(name));
  const lines = isOfMedia ? linesOf(card) : queriedLines(card);
  const test = (prop: PropFilter) => matchesProp(prop, lines);
  return isAll ? props.every(test) : props.some(test);
}

/** Properties that are written from a card's media (RFC 6350 §6). */
const MEDIA = /(^|\.)(PHOTO|LOGO|SOUND|JSPROP)$/;

/** Words of which a card that matches has at least one of each group; none where nothing of the kind can be said. */
export function wordsOf({ isAll, props }: Filter): Words {
  if (props.some(({ name }) => MEDIA.test(name))) return [];
  const perProp = props.map(wordsOfProp);
  const groups = isAll ? perProp.flat() : oneOf(perProp);
  return groups.filter((some) => some.length <= MAX_WORDS).slice(0, MAX_WORDS);
}

/** The most words looked for at once; a longer filter is only tried on the cards themselves. */
const MAX_WORDS = 50;

function wordsOfProp({ isNot, isAll, matches, params }: PropFilter): Words {
  if (isNot) return [];
  const tests = [
    ...matches.map(wordOf),
    ...params.map(({ isNot: isWithout, match }) => (isWithout || !match ? undefined : wordOf(match))),
  ].map((word) => (word === undefined ? [] : [[word]]));
  return isAll ? tests.flat() : oneOf(tests);
}

/** Where one of several is enough, a word of any; nothing can be said where one of them says nothing. */
function oneOf(all: readonly Words[]): Words {
  const firsts = all.map(([first]) => first);
  const some = firsts.flatMap((first) => first ?? []);
  return firsts.length > 0 && firsts.every((first) => first !== undefined) ? [some] : [];
}

/** The word that a value must have; undefined where it needn't have any. */
function wordOf({ text, collation, isNegated }: TextMatch): string | undefined {
  // Other scripts are folded further than this collation compares them.
  if (isNegated || (collation === 'i;ascii-casemap' && !/^[\x20-\x7e]*$/.test(text))) return undefined;
  return foldText(text) || undefined;
}

function matchesProp(
  { name, isNot, isAll, matches, params }: PropFilter,
  lines: readonly ContentLine[],
): boolean {
  const [group, bare] = name.includes('.') ? name.split('.') : [undefined, name];
  const own = lines.filter(
    (line) => line.name === bare && (group === undefined || line.group?.toUpperCase() === group),
  );
  if (isNot) return own.length === 0;
  if (own.length === 0) return false;
  const tests = [
    ...matches.map(
      (match) => own.some((line) => matchesText(match, unescapeText(line.value))) !== match.isNegated,
    ),
    ...params.map((param) => own.some((line) => matchesParam(param, line))),
  ];
  if (tests.length === 0) return true;
  return isAll ? tests.every(Boolean) : tests.some(Boolean);
}

function matchesParam({ name, isNot, match }: ParamFilter, { params }: ContentLine): boolean {
  const values = params[name];
  if (isNot) return values === undefined;
  if (!match) return values !== undefined;
  return values !== undefined && values.some((value) => matchesText(match, value)) !== match.isNegated;
}

function matchesText({ text, collation, kind }: TextMatch, value: string): boolean {
  // i;ascii-casemap (RFC 4790 §9.2) knows capitals of ASCII only; i;unicode-casemap (RFC 5051) those of all scripts, and
  // is folded further here, so that a name is found without its marks.
  const plain = (one: string) =>
    collation === 'i;ascii-casemap' ? one.replace(/[A-Z]/g, (letter) => letter.toLowerCase()) : foldText(one);
  const [wanted, have] = [plain(text), plain(value)];
  switch (kind) {
    case 'equals':
      return have === wanted;
    case 'starts-with':
      return have.startsWith(wanted);
    case 'ends-with':
      return have.endsWith(wanted);
    default:
      return have.includes(wanted);
  }
}
