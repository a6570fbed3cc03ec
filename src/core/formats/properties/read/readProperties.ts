import {
  type Card,
  deriveName,
  formatPointer,
  getAt,
  parseCard,
  parsePointer,
  setAt,
  unwrapLabel,
} from '@/core/card';

import type { ContentLine } from '../../contentLines/contentLine';
import { unescapeText } from '../../contentLines/text';
import type { Problem } from '../../format/format';
import { type Draft, type PropertyReader, settleTitles } from './draft';
import { detailReaders } from './readDetail';
import { namingReaders } from './readNaming';
import { OLDER_PHONETIC, readOlderPhonetic, readPhonetic } from './readPhonetic';
import { reachReaders } from './readReach';
import { resourceReaders } from './readResource';

const phoneticReaders = Object.fromEntries(
  OLDER_PHONETIC.map((name): [string, PropertyReader] => [
    name,
    ({ card }, line) => readOlderPhonetic(card, line),
  ]),
);

const READERS = new Map<string, PropertyReader>(
  Object.entries({
    ...namingReaders,
    ...reachReaders,
    ...resourceReaders,
    ...detailReaders,
    ...phoneticReaders,
  }),
);

/** Read after all others, since they lean on them: FN on N, a place on its day, a layout on its address. */
const LATE = new Set([
  ...['FN', 'LABEL', 'GEO', 'TZ', 'BIRTHPLACE', 'DEATHPLACE', 'SORT-STRING'],
  ...OLDER_PHONETIC,
]);

/**
 * Makes a card of the properties of one vCard (RFC 9555 §2). What has no equivalent stays in vCardProps.
 *
 * @param fallbackUid - makes the uid of a card without one
 */
export function readProperties(
  lines: readonly ContentLine[],
  fallbackUid: () => string,
): { card: Card; problems: Problem[] } {
  const problems: Problem[] = [];
  const draft: Draft = {
    ...{ card: blank(''), labels: readLabels(lines), problems, lines },
    ...{ houses: new Map(), addressOf: new Map() },
  };
  const main = new Map<string, readonly string[] | undefined>();
  const take = (line: ContentLine) => {
    if (isFrame(line, draft)) return;
    const altKey = line.params['ALTID'] && `${line.name} ${line.params['ALTID'][0] ?? ''}`;
    if (altKey !== undefined && main.has(altKey)) {
      const first = main.get(altKey);
      if (readPhonetic(draft.card, line, first) || readAlternative(draft, line, first)) return;
    }
    const path = READERS.get(line.name)?.(draft, line);
    if (path === undefined) keepProperty(draft, line);
    if (altKey !== undefined) main.set(altKey, path);
  };
  const late = lines.filter(({ name }) => LATE.has(name));
  for (const line of mainFirst(lines)) if (!LATE.has(line.name)) take(line);
  for (const line of mainFirst(late)) take(line);
  if (draft.labels.size > 0) keepUnusedLabels(draft, lines);
  if (draft.card.uid === '') draft.card.uid = fallbackUid();
  settleTitles(draft);
  settleKind(draft, lines);
  return { card: readExtensions(draft.card, lines, problems), problems };
}

function blank(uid: string): Card {
  return { '@type': 'Card', version: '1.0', uid };
}

/** Within an ALTID the one without a language or a pronunciation comes first, as the main one. */
function mainFirst(lines: readonly ContentLine[]): readonly ContentLine[] {
  const isAlternative = ({ params }: ContentLine) =>
    params['ALTID'] !== undefined && (params['LANGUAGE'] !== undefined || params['PHONETIC'] !== undefined);
  if (!lines.some(isAlternative)) return lines;
  return [...lines.filter((line) => !isAlternative(line)), ...lines.filter(isAlternative)];
}

/** What frames a card or speaks of another property; no property of the card itself. */
function isFrame(line: ContentLine, draft: Draft): boolean {
  if (line.name === 'VERSION' || line.name === 'JSPROP' || line.name === 'END') return true;
  return line.name === LABEL && line.group !== undefined && draft.labels.has(line.group.toLowerCase());
}

/** RFC 9555 §2.3.3 (from memory): widely written for a label of the property with the same group. */
const LABEL = 'X-ABLABEL';

function readLabels(lines: readonly ContentLine[]): Map<string, string> {
  const labels = new Map<string, string>();
  for (const { group, name, value } of lines) {
    if (name === LABEL && group !== undefined && value !== '')
      labels.set(group.toLowerCase(), unwrapLabel(unescapeText(value)));
  }
  return labels;
}

/** RFC 9555 §2.3.1: the same property in another language goes to `localizations` (RFC 9553 §2.7.1). */
function readAlternative(draft: Draft, line: ContentLine, path: readonly string[] | undefined): boolean {
  const language = line.params['LANGUAGE']?.[0];
  if (language === undefined || path === undefined) return false;
  const scratch: Draft = { ...draft, card: blank(''), houses: new Map(), addressOf: new Map() };
  const { 'PROP-ID': _, ALTID: __, LANGUAGE: ___, ...params } = line.params;
  const read = READERS.get(line.name)?.(scratch, { ...line, params });
  const value = read && getAt(scratch.card, read);
  if (value === undefined) return false;
  const localizations = { ...draft.card.localizations };
  const patch = { ...localizations[language] };
  const pointer = formatPointer(path);
  // A patch may not name both a thing and a part of it (RFC 9553 §1.4.3).
  const name = patch['name'];
  if (pointer === 'name/full' && typeof name === 'object') patch['name'] = { ...name, full: value };
  else patch[pointer] = value;
  localizations[language] = patch;
  draft.card.localizations = localizations;
  return true;
}

/** A label beside a line that nobody reads is kept with it, in the same group. */
function keepUnusedLabels(draft: Draft, lines: readonly ContentLine[]): void {
  const groups = new Set(
    (draft.card.vCardProps ?? []).map(([, params]) => String(params['group'] ?? '').toLowerCase()),
  );
  for (const line of lines)
    if (line.name === LABEL && line.group !== undefined && groups.has(line.group.toLowerCase()))
      keepProperty(draft, line);
}

/** RFC 9555 §3.2.3: as jCard would have it, the value left in its escapes since its type isn't known. */
function keepProperty(draft: Draft, line: ContentLine): void {
  const params = Object.fromEntries(
    Object.entries(line.params).map(([name, values]) => [
      name.toLowerCase(),
      values.length === 1 ? (values[0] ?? '') : values,
    ]),
  );
  const grouped = line.group === undefined ? params : { ...params, group: line.group };
  // An empty N or ADR says nothing.
  if (/^[;,\s]*$/.test(line.value)) return;
  (draft.card.vCardProps ??= []).push([line.name.toLowerCase(), grouped, 'unknown', line.value]);
}

/** Common practice of vCard 3.0, which has no KIND: no name but the organisation's means that it is one. */
function settleKind(draft: Draft, lines: readonly ContentLine[]): void {
  const { card } = draft;
  if (card.name && Object.keys(card.name).length === 0) delete card.name;
  if (
    card.kind !== undefined ||
    lines.some(({ name, value }) => name === 'VERSION' && value.trim() === '4.0')
  )
    return;
  const [organization] = Object.values(card.organizations ?? {});
  if (
    organization?.name !== undefined &&
    card.name?.full === organization.name &&
    deriveName(card.name) === ''
  ) {
    card.kind = 'org';
  }
}

/** JSPROP (RFC 9555 §3.1): what no vCard property can say, put where JSPTR points; null takes away. */
function readExtensions(card: Card, lines: readonly ContentLine[], problems: Problem[]): Card {
  const extensions = lines.filter(({ name }) => name === 'JSPROP');
  if (extensions.length === 0) return card;
  // All at once; only where the whole is no card, one after the other, to find which one spoils it.
  const whole = extensions
    .map(readExtension)
    .reduce<Card | undefined>((sum, extension) => sum && extension && putExtension(sum, extension), card);
  const parsed = whole && parseCard(whole);
  if (parsed?.kind === 'card') return parsed.card;
  let good = card;
  for (const line of extensions) {
    const extension = readExtension(line);
    const next = extension && parseCard(putExtension(good, extension));
    if (next?.kind === 'card') good = next.card;
    else {
      const message = `JSPROP can't be taken in: ${next?.message ?? 'no JSON, or no place in a card'}`;
      problems.push({ code: 'unreadable-value', line: line.line, message, text: line.value });
    }
  }
  return good;
}

interface Extension {
  readonly path: string[];
  readonly value: unknown;
}

function readExtension({ params, value }: ContentLine): Extension | undefined {
  const path = parsePointer(params['JSPTR']?.[0] ?? '');
  if (path.includes('__proto__')) return undefined;
  try {
    return { path, value: JSON.parse(unescapeText(value)) as unknown };
  } catch {
    return undefined;
  }
}

function putExtension(card: Card, { path, value }: Extension): Card {
  return setAt(card, path, value ?? undefined) as Card;
}
