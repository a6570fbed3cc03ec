import type { Vocabulary } from '../facts/vocabulary';
import { COLUMNS, type Columns, type MatchShares, resolve, SHIPPED } from './columns';
import type { PairComparison, ReachLevel } from './comparePair';

/** What a book has taught: how often fields agree between two cards of one person, and how many such pairs there are. */
export interface Learnt {
  readonly shares: MatchShares;
  /** Pairs of cards of one person, a card. */
  readonly matches: number;
}

/** Before any book has been seen. Ours. */
export const UNTAUGHT: Learnt = { shares: SHIPPED, matches: 0.12 };

/** Pairs of two people of one household, a card. Ours. */
const HOUSEHOLDS = 0.1;
/** Between two of a household: that they share a surname, that they share a given name. Ours. */
const [FAMILY, NAMESAKE] = [0.55, 0.01];

/** Pairs of strangers of one name who bear it not by accident, as two cousins do after one grandfather, a card. Ours. */
const NAMESAKES = 0.01;

/** log2 of the chance that of two given names one begins or ends as a pet form of the other would. Ours. */
const LIKE_GIVEN = Math.log2(0.09);

/** The parts of a comparison, as they are weighed and told. */
export const PARTS = [
  'name',
  'mail',
  'phone',
  'reach',
  'birth',
  'place',
  'work',
  'title',
  'generation',
] as const;
/** One of them. */
export type Part = (typeof PARTS)[number];

/** log2 of the chance of what was seen: of one person, and by each kinship. */
export type Logs = readonly [match: number, stranger: number, household: number, firm: number];
const NONE: Logs = [0, 0, 0, 0];

/** Weighs comparisons by what has been learnt (Fellegi and Sunter 1969), against strangers, households and organisations. */
export class Model {
  /** log2 of pairs of each kind, a card. */
  private readonly priors: Logs;
  private readonly tables: Readonly<Record<Exclude<Part, 'name'>, Record<string, Logs>>> = {
    ...{ mail: {}, phone: {}, reach: {}, birth: {}, place: {}, work: {}, title: {}, generation: {} },
  };

  /** log2 of the shares of what is asked for every pair. */
  private readonly logs: Readonly<Record<'words' | 'conflicts', Readonly<Record<string, number>>>>;

  constructor(
    readonly learnt: Learnt,
    readonly vocabulary: Vocabulary,
  ) {
    const logs = (shares: Readonly<Record<string, number>>) =>
      Object.fromEntries(Object.entries(shares).map(([level, share]) => [level, Math.log2(share)]));
    this.logs = { words: logs(learnt.shares.words), conflicts: logs(learnt.shares.name) };
    const { size, colleagues, cards } = vocabulary;
    this.priors = [learnt.matches, size / 2, HOUSEHOLDS, Math.max(0.01, colleagues / Math.max(1, cards))].map(
      Math.log2,
    ) as unknown as Logs;
    for (const part of ['mail', 'phone', 'reach', 'birth', 'place', 'work', 'title', 'generation'] as const)
      for (const [level, chances] of Object.entries(COLUMNS[part] as Columns['mail'])) {
        const match = (learnt.shares[part] as Readonly<Record<string, number>>)[level] ?? 1;
        const share = part === 'reach' ? vocabulary.reachShare(level as ReachLevel) : 1;
        const others = chances.map((chance) => Math.log2(share * resolve(chance, match, size)));
        this.tables[part][level] = [Math.log2(match), ...others] as unknown as Logs;
      }
  }

  /** What a part of a comparison says. */
  logsOf(
    part: Part,
    { name, mail, phone, reach, birth, place, work, title, generation }: PairComparison,
  ): Logs {
    switch (part) {
      case 'name':
        return this.nameLogs(name);
      case 'mail':
        return this.table(part, mail.level);
      case 'phone':
        return this.table(part, phone.level);
      case 'reach':
        return this.table(part, reach);
      case 'birth':
        return this.table(part, birth);
      case 'place':
        return withChance(this.table(part, place.level), place.chance);
      case 'work':
        return withChance(this.table(part, work.level), work.chance);
      case 'title':
        return this.table(part, title);
      case 'generation':
        return this.table(part, generation);
    }
  }

  /** Sums of all parts, priors included. Written out, as it is asked for every pair in every round of learning. */
  sum({ name, mail, phone, reach, birth, place, work, title, generation }: PairComparison): Logs {
    const { tables } = this;
    const sums = this.nameLogs(name);
    add(sums, this.priors);
    add(sums, tables.mail[mail.level]);
    add(sums, tables.phone[phone.level]);
    add(sums, tables.reach[reach]);
    add(sums, tables.birth[birth]);
    add(sums, tables.title[title]);
    add(sums, tables.generation[generation]);
    add(sums, tables.place[place.level]);
    add(sums, tables.work[work.level]);
    // Strangers agree on a value as often as the book has it.
    if (place.chance < 1) sums[1] += Math.log2(place.chance);
    if (work.chance < 1) sums[1] += Math.log2(work.chance);
    return sums;
  }

  private table(part: Exclude<Part, 'name'>, level: string): Logs {
    return this.tables[part][level] ?? NONE;
  }

  private nameLogs({
    matches,
    conflict,
    together,
  }: PairComparison['name']): [number, number, number, number] {
    if (conflict === 'missing') return [0, 0, 0, 0];
    const { words, conflicts } = this.logs;
    let [match, stranger, household] = [conflict === 'scripts' ? 0 : (conflicts[conflict] ?? 0), 0, 0];
    let firmOnly = 0;
    let isNamesake = false;
    for (const { level, chance, isGiven } of matches) {
      const share = words[level] ?? 0;
      match += share;
      // How somebody abbreviates doesn't depend on whose name it is.
      const log = Math.log2(chance) + (level === 'initial' ? share : 0);
      stranger += log;
      firmOnly += log;
      // Who bears the name of a father bears all of it.
      const shared = !isGiven ? FAMILY : isNamesake ? 1 : NAMESAKE;
      household += isGiven
        ? Math.log2(Math.min(1, shared * 2 ** share + 2 ** log))
        : Math.log2(shared) + share;
      isNamesake ||= isGiven;
    }
    if (matches.length > 1) {
      const more = Math.min(Math.log2(together), -stranger);
      stranger += more;
      firmOnly += more;
      const byDescent = match + Math.log2((2 * NAMESAKES) / this.vocabulary.size);
      stranger = Math.log2(2 ** stranger + 2 ** byDescent);
    }
    if (conflict === 'likeGiven') {
      stranger += LIKE_GIVEN;
      firmOnly += LIKE_GIVEN;
      household += LIKE_GIVEN;
    }
    if (conflict === 'otherSurname' || conflict === 'other') household += Math.log2(1 - FAMILY);
    return [match, stranger, household, firmOnly];
  }
}

function add(sums: [number, number, number, number], logs: Logs | undefined): void {
  if (!logs) return;
  sums[0] += logs[0];
  sums[1] += logs[1];
  sums[2] += logs[2];
  sums[3] += logs[3];
}

function withChance(logs: Logs, chance: number): Logs {
  if (chance >= 1 || logs === NONE) return logs;
  const [match, , household, firm] = logs;
  return [match, Math.log2(chance), household, firm];
}

/** The chance of each kind, by their sums: of one person, then by kinship. */
export function chancesOf([match, stranger, household, firm]: Logs): [number, number, number, number] {
  const most = Math.max(match, stranger, household, firm);
  const powers: [number, number, number, number] = [
    2 ** (match - most),
    2 ** (stranger - most),
    2 ** (household - most),
    2 ** (firm - most),
  ];
  const total = powers[0] + powers[1] + powers[2] + powers[3];
  return [powers[0] / total, powers[1] / total, powers[2] / total, powers[3] / total];
}
