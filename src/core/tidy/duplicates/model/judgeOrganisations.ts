import { texts } from '@/texts/tidy/duplicates';

import { compareMails, comparePhones } from '../compare/compareReach';
import { comparePlaces } from '../compare/compareRest';
import { jaroWinkler } from '../compare/jaroWinkler';
import { isOneSlipApart } from '../compare/slips';
import type { DuplicateFacts } from '../facts/facts';
import type { Vocabulary } from '../facts/vocabulary';
import type { Evidence } from './evidence';
import type { Judgement } from './judgement';

/** Names of organisations at least this alike are taken for a slip. Ours. */
const CLOSE = 0.94;
/** Pairs of cards of one organisation, and of two branches of one, for each card of an organisation. Ours. */
const [MATCHES, BRANCHES] = [0.15, 0.05];
/** A host of more cards is a provider's. Ours. */
const FEW_HOSTS = 30;

/** log2 of chances: of one organisation, of strangers, of branches. */
type Logs = readonly [match: number, stranger: number, branch: number];
const logs = (match: number, stranger: number, branch: number): Logs => [
  Math.log2(match),
  Math.log2(stranger),
  Math.log2(branch),
];

interface Part {
  readonly kind: Evidence['kind'];
  readonly words: string;
  readonly logs: Logs;
}

/** Weighs two organisations: the words of their names by how rare they are, how they are reached, where they are. */
export function judgeOrganisations(a: DuplicateFacts, b: DuplicateFacts, vocabulary: Vocabulary): Judgement {
  const parts = [
    ...nameParts(a, b, vocabulary),
    ...reachParts(a, b, vocabulary),
    ...placeParts(a, b, vocabulary),
  ];
  const priors = [MATCHES, vocabulary.size / 2, BRANCHES].map(Math.log2);
  const [match = 0, stranger = 0, branch = 0] = priors.map((prior, i) =>
    parts.reduce((sum, part) => sum + part.logs[i as 0], prior),
  );
  const isBranch = branch > stranger ? 2 : 1;
  const evidence = parts
    .map(({ kind, words, logs: all }) => ({ kind, words, bits: all[0] - all[isBranch] }))
    .filter(({ bits }) => Math.abs(bits) >= 0.1)
    .sort((one, other) => Math.abs(other.bits) - Math.abs(one.bits));
  return { probability: 1 / (1 + 2 ** (stranger - match) + 2 ** (branch - match)), evidence };
}

function nameParts(
  { house: a }: DuplicateFacts,
  { house: b }: DuplicateFacts,
  vocabulary: Vocabulary,
): Part[] {
  if (a.length === 0 || b.length === 0) return [];
  const say = (words: string, match: number, stranger: number, branch: number): Part[] => [
    { kind: 'name', words, logs: logs(match, Math.max(1e-9, Math.min(1, stranger)), branch) },
  ];
  // Words of one trade come together: less than all of their chances multiplied.
  const chance = (words: readonly string[]) =>
    words.reduce((all, word) => all * vocabulary.chanceOf('h', word) ** 0.8, 1);
  if (a.join('') === b.join('')) return say(texts.sameName, 0.8, chance(a), 0.7);
  const [short, long] = a.length <= b.length ? [a, b] : [b, a];
  if ([...a].sort().join(' ') === [...b].sort().join(' '))
    return say(texts.sameWordsInName, 0.03, 2 * chance(a), 0.02);
  if (isOneSlipIn(a, b) || (jaroWinkler(a.join(' '), b.join(' ')) >= CLOSE && a.join(' ').length > 5))
    return say(texts.namesNearlySame, 0.1, 10 * chance(a), 0.02);
  if (short.length > 1 && short.every((word) => long.includes(word)))
    return say(texts.oneNameWithinOther, 0.06, 2 * chance(short), 0.25);
  return say(texts.differentNames, 0.01, 1, 0.01);
}

/** Whether two names differ in one word, and that by a slip. */
function isOneSlipIn(a: readonly string[], b: readonly string[]): boolean {
  if (a.length !== b.length) return false;
  const others = a.flatMap((word, i) => (word === b[i] ? [] : [[word, b[i] ?? ''] as const]));
  const [[one, other] = ['', ''], ...more] = others;
  return more.length === 0 && Math.min(one.length, other.length) > 3 && isOneSlipApart(one, other);
}

function reachParts(a: DuplicateFacts, b: DuplicateFacts, vocabulary: Vocabulary): Part[] {
  const found: Part[] = [];
  const mail = compareMails(a, b, vocabulary);
  const once = 0.2 / vocabulary.size;
  if (mail.level === 'same' || mail.level === 'desk' || mail.level === 'many')
    found.push({ kind: 'mail', words: texts.sameMailAddress(mail.value), logs: logs(0.5, once, 0.05) });
  else {
    const host = a.hosts.find((one) => b.hosts.includes(one));
    if (host !== undefined && vocabulary.countOf('w', host) <= FEW_HOSTS)
      found.push({ kind: 'mail', words: texts.sameHost(host), logs: logs(0.35, 2 * once, 0.5) });
    else if (a.hosts.length > 0 && b.hosts.length > 0)
      found.push({ kind: 'mail', words: texts.differentMailAddresses, logs: logs(0.15, 0.99, 0.45) });
  }
  const phone = comparePhones(a, b, vocabulary);
  if (['same', 'many', 'mobile'].includes(phone.level))
    found.push({
      kind: 'number',
      words: texts.sameNumber(phone.value.replace('~', '')),
      logs: logs(0.6, once, 0.03),
    });
  else if (phone.level === 'differ')
    found.push({ kind: 'number', words: texts.differentNumbers, logs: logs(0.4, 0.99, 0.97) });
  return found;
}

function placeParts(a: DuplicateFacts, b: DuplicateFacts, vocabulary: Vocabulary): Part[] {
  const { level, chance } = comparePlaces(a, b, vocabulary);
  if (level === 'missing') return [];
  if (level === 'street')
    return [{ kind: 'address', words: texts.sameAddress, logs: logs(0.75, chance, 0.02) }];
  if (level === 'town') {
    // Two streets of one town are what branches have, where both are said.
    const haveBoth = a.streets.length > 0 && b.streets.length > 0;
    const slip = haveBoth && a.streets.some((one) => b.streets.some((other) => isOneSlipApart(one, other)));
    if (haveBoth && !slip)
      return [{ kind: 'address', words: texts.otherStreets, logs: logs(0.05, chance, 0.4) }];
    return [{ kind: 'address', words: texts.sameTown, logs: logs(0.17, chance, 0.1) }];
  }
  return [{ kind: 'address', words: texts.differentTownsBranches, logs: logs(0.08, 0.95, 0.9) }];
}
