import { ADDRESS_LABEL, BUILDING, POST_BOX, STREET } from './addressWords';
import { countryOf } from './countries';
import { findEastAsianAddresses } from './findEastAsianAddresses';
import { REGISTRY } from './mailWords';
import { TOWN_FORMS } from './postcodes';
import { overlapsAny, type TextSpan } from './spans';
import type { Segment, TextLine } from './textLines';

/** What follows a house's number in English and French, and is no town. */
const STREET_NAME =
  /(?:\s|^)(?:street|st|road|rd|lane|avenue|ave|drive|boulevard|blvd|square|court|place|way|quay|row|hill|terrace|crescent|close|gardens|walk)\.?$|^(?:rue|avenue|boulevard|quai|place|chemin|impasse|allée)\s/i;
/** What firms have to state by law about their registration. */
const REGISTERED = /\bregistered (?:in|office|no)|amtsgericht|handelsregister|\brcs\b/i;

/** Finds addresses, each part by itself: the town with its postcode first, then what stands before and after it. */
export function findAddresses(
  lines: readonly TextLine[],
  taken: readonly TextSpan[],
  country?: string,
): TextSpan[] {
  const eastAsian = findEastAsianAddresses(lines, taken);
  const marks: TextSpan[] = [...eastAsian];
  const isFree = (segment: Segment) => !overlapsAny(segment, taken) && !overlapsAny(segment, marks);
  for (const [at, line] of lines.entries())
    for (const segment of REGISTERED.test(line.text) ? [] : freeSegments(line, isFree)) {
      const town = isFree(segment) ? townOf(segment, country) : undefined;
      if (!town) continue;
      const before = streetBefore(lines, at, segment, isFree, town);
      if (before === undefined) continue;
      const isDelivery = isForLetters(lines, at);
      marks.push(
        ...town,
        ...before.map((mark) => (isDelivery && mark.field !== 'town' ? { ...mark, isDelivery } : mark)),
      );
      if (before.length === 0) marks.push(...streetAfter(line, segment, isFree));
      marks.push(...countryAfter(lines, at, segment, isFree));
    }
  return marks.length === 0 ? townsByCountry(lines, isFree) : marks;
}

/** "6720 Szeged, Tisza utca 8.": the town first, as in Hungary. */
function streetAfter(line: TextLine, town: Segment, isFree: (segment: Segment) => boolean): TextSpan[] {
  const next = line.segments.find((one) => one.start >= town.end && isFree(one));
  return next && STREET.test(next.text) && /\d/.test(next.text) ? streetMarks([next]) : [];
}

/** Segments without the label before the first; one that ends with a country's name counts without it. */
function freeSegments(line: TextLine, isFree: (segment: Segment) => boolean): Segment[] {
  return line.segments.filter(isFree).map((segment) => withoutLabel(segment));
}

/** A segment without "Address:" before it. */
export function withoutLabel(segment: Segment): Segment {
  const label = ADDRESS_LABEL.exec(segment.text)?.[0].length ?? 0;
  return label === 0 || label === segment.text.length
    ? segment
    : { start: segment.start + label, end: segment.end, text: segment.text.slice(label) };
}

function townOf(segment: Segment, country: string | undefined): TextSpan[] | undefined {
  if (REGISTRY.test(segment.text)) return undefined;
  const [text, nation] = splitCountry(segment.text);
  for (const { form, countries, isLoose } of TOWN_FORMS) {
    if (isLoose && !countries?.includes(country ?? '')) continue;
    const match = form.exec(text);
    if (!match || /^\p{L}{1,4}\.$/u.test(match.groups?.['town'] ?? '')) continue;
    // Four figures before a capital may be a year: "2024 Annual".
    if (!countries && STREET_NAME.test(match.groups?.['town'] ?? '')) continue;
    if (!countries && country === undefined && /^(?:19|20)\d\d /.test(text) && nation === '') continue;
    const marks: TextSpan[] = [];
    for (const field of ['postcode', 'town', 'region'] as const) {
      const value = match.groups?.[field];
      if (value === undefined) continue;
      if (field === 'region' && countryOf(value) !== undefined && value.length > 2) {
        const at = segment.start + text.lastIndexOf(value);
        marks.push({ start: at, end: at + value.length, field: 'country' });
        continue;
      }
      const start = segment.start + (field === 'region' ? text.lastIndexOf(value) : text.indexOf(value));
      marks.push({ start, end: start + value.length, field });
    }
    if (nation !== '') marks.push({ start: segment.end - nation.length, end: segment.end, field: 'country' });
    return marks;
  }
  return undefined;
}

/** "75011 Paris France": the last words may be a country's. */
function splitCountry(text: string): readonly [string, string] {
  const words = text.split(' ');
  for (let count = Math.min(3, words.length - 1); count > 0; count -= 1) {
    const last = words.slice(-count).join(' ');
    if (/\d/.test(last) || countryOf(last) === undefined || last.length < 4) continue;
    const rest = words.slice(0, -count).join(' ');
    // "Ciudad de México" is no town called "Ciudad de".
    if (/\s(?:de|del|da|do|of|the)$/i.test(rest)) continue;
    return [rest, last];
  }
  return [text, ''];
}

/** Whether a segment may be a street and a house. */
export function isStreetLike({ text }: Segment): boolean {
  if (POST_BOX.test(text)) return true;
  if (REGISTRY.test(text) || /@|www\.|https?:/.test(text) || text.length > 70) return false;
  return (
    (/\d/.test(text) && /\p{L}{2}/u.test(text) && !/^\d{4}\b/.test(text)) ||
    STREET.test(text) ||
    (/^\d+[a-z]?$/i.test(text) && text.length < 6)
  );
}

/**
 * What stands before the town: on its line from the first segment that may be a street, else the line above, and above
 * that a line of a house or a box.
 *
 * @returns undefined where figures before a word are no postcode after all, as nothing else speaks for an address
 */
function streetBefore(
  lines: readonly TextLine[],
  at: number,
  segment: Segment,
  isFree: (segment: Segment) => boolean,
  town: readonly TextSpan[],
): TextSpan[] | undefined {
  const line = lines[at];
  if (!line) return undefined;
  const before = line.segments.filter((one) => one.end <= segment.start && isFree(one)).map(withoutLabel);
  const hasTown = town.some(({ field }) => field === 'town');
  if (!hasTown && before.length === 0) return placeAbove(lines, at, isFree);
  const marks: TextSpan[] = [];
  let rest = before;
  if (!hasTown) {
    const named = townBefore(before);
    if (!named) return undefined;
    marks.push(...named);
    rest = before.slice(0, -named.length);
  }
  const run = weakRun(rest, line, marks[marks.length - 1]?.start ?? segment.start);
  const first = run.findIndex((one) => isStreetLike(one));
  // "The Vicarage, Church Road": a house by its name before its street.
  const from = first > 0 && BUILDING.test(run[first - 1]?.text ?? '') ? first - 1 : first;
  if (first >= 0) return [...marks, ...streetMarks(run.slice(from))];
  if (run.length > 0 && ADDRESS_LABEL.test(line.text)) return [...marks, ...streetMarks(run)];
  const above = rest.length > 0 && marks.length === 0 ? [] : streetAbove(lines, at, isFree);
  const isSure = hasTown && town.some(({ field, end, start }) => field === 'postcode' && end - start >= 4);
  return above.length > 0 || isSure || marks.length > 0 ? [...marks, ...above] : undefined;
}

/**
 * The town before a postcode that stands alone, the last mark first; a region may stand between: "Wexmere, Devon",
 * "São Paulo, SP".
 */
function townBefore(before: readonly Segment[]): TextSpan[] | undefined {
  const name = before.at(-1);
  if (!name || !isTownLike(name.text)) return undefined;
  const prior = before.at(-2);
  const isRegion =
    prior !== undefined &&
    isTownLike(prior.text) &&
    !isStreetLike(prior) &&
    (/^[A-Z]{2}$/.test(name.text) || before.slice(0, -2).some(isStreetLike));
  if (!isRegion) return [{ start: name.start, end: name.end, field: 'town' }];
  return [
    { start: name.start, end: name.end, field: 'region' },
    { start: prior.start, end: prior.end, field: 'town' },
  ];
}

/** A name of a place; a number of a district may follow: "Dublin 2". */
function isTownLike(text: string): boolean {
  return /^\p{Lu}[\p{L} .'’-]{1,40}(?: \d{1,2})?$/u.test(text);
}

/**
 * Segments right before a place, as far back as no stroke or dot parts them; behind one such sign, if it is the
 * first.
 */
function weakRun(rest: readonly Segment[], line: TextLine, until: number): readonly Segment[] {
  let from = rest.length;
  let end = until;
  for (let i = rest.length - 1; i >= 0; i -= 1) {
    const segment = rest[i];
    if (!segment) break;
    const between = line.text.slice(segment.end - line.start, end - line.start);
    if (/[|•·]|\s{3}|\t/.test(between) && from < rest.length) break;
    from = i;
    end = segment.start;
  }
  return rest.slice(from);
}

/** Above a postcode that has a line to itself: the street, and between the town and perhaps a county. */
function placeAbove(
  lines: readonly TextLine[],
  at: number,
  isFree: (segment: Segment) => boolean,
): TextSpan[] | undefined {
  const above: Segment[] = [];
  for (let i = at - 1; i >= 0 && above.length < 3; i -= 1) {
    const one = lastOf(lines[i], isFree);
    if (!one) break;
    if (isStreetLike(one) && above.length > 0) {
      const [first, second] = above.toReversed();
      return [
        ...(first ? [{ start: first.start, end: first.end, field: 'town' as const }] : []),
        ...(second ? [{ start: second.start, end: second.end, field: 'region' as const }] : []),
        ...streetAbove(lines, i + 1, isFree),
      ];
    }
    if (!isTownLike(one.text)) break;
    above.push(one);
  }
  const named = lines[at - 1]?.segments.filter(isFree).map(withoutLabel) ?? [];
  const town = townBefore(named);
  const until = named.slice(0, -(town?.length ?? 0));
  const street = until.findIndex(isStreetLike);
  if (!town) return undefined;
  return [...town, ...(street >= 0 ? streetMarks(until.slice(street)) : streetAbove(lines, at - 1, isFree))];
}

function lastOf(line: TextLine | undefined, isFree: (segment: Segment) => boolean): Segment | undefined {
  return line?.segments.length === 1 ? line.segments.filter(isFree).map(withoutLabel).at(-1) : undefined;
}

function streetAbove(
  lines: readonly TextLine[],
  at: number,
  isFree: (segment: Segment) => boolean,
): TextSpan[] {
  const line = lines[at - 1];
  if (!line || line.index < (lines[at]?.index ?? 0) - 2) return [];
  const segments = line.segments.filter(isFree).map(withoutLabel);
  const first = segments.findIndex((one) => isStreetLike(one));
  if (first < 0) return [];
  const own = streetMarks(segments.slice(first));
  const higher = lines[at - 2];
  if (!higher || higher.segments.length !== 1 || first > 0) return own;
  const [above] = higher.segments.filter(isFree).map(withoutLabel);
  if (!above || !(BUILDING.test(above.text) || POST_BOX.test(above.text)) || above.text.length > 50) {
    // The house above was the street, and this line only its floor: "12 Harbour Street / 2nd floor".
    if (above && BUILDING.test(segments[first]?.text ?? '') && isStreetLike(above) && STREET.test(above.text))
      return [...own, { start: above.start, end: above.end, field: 'street' }];
    return own;
  }
  return [...own, ...streetMarks([above])];
}

/** Segments of a street as one mark; a box and a floor by themselves. */
function streetMarks(segments: readonly Segment[]): TextSpan[] {
  const marks: TextSpan[] = [];
  let street: { start: number; end: number } | undefined;
  for (const { start, end, text } of segments) {
    if (POST_BOX.test(text)) marks.push({ start, end, field: 'postOfficeBox' });
    else if (BUILDING.test(text) && !STREET.test(text)) marks.push({ start, end, field: 'building' });
    else street = { start: street?.start ?? start, end };
  }
  return street ? [...marks, { ...street, field: 'street' }] : marks;
}

function countryAfter(
  lines: readonly TextLine[],
  at: number,
  segment: Segment,
  isFree: (segment: Segment) => boolean,
): TextSpan[] {
  const same = lines[at]?.segments.find((one) => one.start >= segment.end && isFree(one));
  const next = lines[at + 1]?.segments.find(isFree);
  const region = same && countryOf(same.text) === undefined && /^[A-Z]{2}$/.test(same.text);
  for (const one of region ? [] : [same, ...(same ? [] : [next])])
    if (one && countryOf(one.text) !== undefined)
      return [{ start: one.start, end: one.end, field: 'country' }];
  return [];
}

function isForLetters(lines: readonly TextLine[], at: number): boolean {
  return [lines[at], lines[at - 1], lines[at - 2]].some(
    (line) =>
      line !== undefined &&
      ADDRESS_LABEL.exec(`${line.text}${/[:：]/.test(line.text) ? '' : ':'}`)?.[1] !== undefined,
  );
}

/** Without a postcode: a country's name, the town before it, and the street before that. */
function townsByCountry(lines: readonly TextLine[], isFree: (segment: Segment) => boolean): TextSpan[] {
  const segments = lines.flatMap((line) => line.segments.filter(isFree).map(withoutLabel));
  const at = segments.findLastIndex((one) => countryOf(one.text) !== undefined && one.text.length > 2);
  const nation = segments[at];
  if (!nation) return [];
  const country: TextSpan = { start: nation.start, end: nation.end, field: 'country' };
  const [town, street] = [segments[at - 1], segments[at - 2]];
  const line = lines.find((one) => one.segments.some(({ start }) => start === nation.start));
  if (town && line?.segments.length === 2 && town.start >= line.start && isTownLike(town.text))
    return [{ start: town.start, end: town.end, field: 'town' }, country];
  if (!town || !street || !/^\p{Lu}[\p{L} .'’-]{1,30}(?: \d{1,2})?$/u.test(town.text)) return [country];
  if (!isStreetLike(street) || !/\d/.test(street.text)) return [country];
  const place: TextSpan = { start: town.start, end: town.end, field: 'town' };
  return [...streetMarks([street]), place, country];
}
