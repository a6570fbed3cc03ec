import { compareNames } from '../compare/compareNames';
import {
  compareMails,
  comparePhones,
  type MailLevel,
  type PhoneLevel,
  type Reach,
} from '../compare/compareReach';
import {
  type BirthLevel,
  type Common,
  compareBirths,
  compareGenerations,
  comparePlaces,
  compareTitles,
  compareWork,
  type GenerationLevel,
  type PlaceLevel,
  type WorkLevel,
} from '../compare/compareRest';
import type { NameComparison } from '../compare/nameComparison';
import type { DuplicateFacts } from '../facts/facts';
import type { Vocabulary } from '../facts/vocabulary';

/**
 * Whether two who can both be reached share anything that they are reached by. Where they share nothing: whether both have
 * mail addresses and numbers, only one of these, or one has the one and one the other. What then differs is no evidence of
 * its own beside it.
 */
export type ReachLevel = 'missing' | 'some' | 'bothDiffer' | 'oneDiffers' | 'apart';

/** How two people's cards agree, field by field. */
export interface PairComparison {
  readonly name: NameComparison;
  readonly mail: Reach<MailLevel>;
  readonly phone: Reach<PhoneLevel>;
  readonly reach: ReachLevel;
  /** Whether one of them says nothing that the other doesn't say too. */
  readonly isWithin: boolean;
  readonly birth: BirthLevel;
  readonly place: Common<PlaceLevel>;
  readonly work: Common<WorkLevel>;
  readonly title: WorkLevel;
  readonly generation: GenerationLevel;
}

/** How names differ where only something that both are reached by, or a birthday, could still make them one person's. */
const HOPELESS: ReadonlySet<string> = new Set(['missing', 'scripts', 'other', 'otherGiven', 'otherSurname']);
/** Both are reached by the same. */
const SHARED: ReadonlySet<string> = new Set(['same', 'many', 'desk', 'mobile', 'extension']);

/** Compares two people's cards. @returns undefined where nothing that they share could make them one person's */
export function comparePair(
  a: DuplicateFacts,
  b: DuplicateFacts,
  vocabulary: Vocabulary,
): PairComparison | undefined {
  const name = compareNames(a, b, vocabulary);
  const birth = compareBirths(a.birth, b.birth);
  const isNamed = !HOPELESS.has(name.conflict);
  if (!isNamed && birth !== 'same' && birth !== 'day' && !areReachedAlike(a, b)) return undefined;
  const mail = compareMails(a, b, vocabulary, isNamed);
  const phone = comparePhones(a, b, vocabulary, isNamed);
  const isShared = SHARED.has(mail.level) || SHARED.has(phone.level);
  const reach =
    isShared || mail.level === 'alike' || phone.level === 'slip'
      ? 'some'
      : isReachable(a) && isReachable(b)
        ? differing(mail.level, phone.level)
        : 'missing';
  return {
    name,
    birth,
    reach,
    mail: reach === 'some' ? mail : NOT_COMPARED,
    phone: reach === 'some' ? phone : NOT_COMPARED,
    isWithin: isShared && isNamed && (isWithin(a, b, birth) || isWithin(b, a, birth)),
    place: comparePlaces(a, b, vocabulary),
    work: compareWork(a, b, vocabulary),
    title: compareTitles(a, b),
    generation: compareGenerations(a.name.generation, b.name.generation),
  };
}

const NOT_COMPARED: Reach<'missing'> = { level: 'missing', value: '' };

function differing(mail: MailLevel, phone: PhoneLevel): ReachLevel {
  if (mail === 'missing' && phone === 'missing') return 'apart';
  return mail === 'missing' || phone === 'missing' ? 'oneDiffers' : 'bothDiffer';
}

function isReachable({ mails, phones }: DuplicateFacts): boolean {
  return mails.length + phones.length > 0;
}

/** Whether they have a mail address, or the end of a number, in common. */
function areReachedAlike(a: DuplicateFacts, b: DuplicateFacts): boolean {
  for (const mail of a.mails) if (b.mails.includes(mail)) return true;
  for (const { tail } of a.phones) for (const phone of b.phones) if (phone.tail === tail) return true;
  return false;
}

/** Whether all that a card says beside its name is on the other one. */
function isWithin(a: DuplicateFacts, b: DuplicateFacts, birth: BirthLevel): boolean {
  const tails = b.phones.map(({ tail }) => tail);
  const areIn = (mine: readonly string[], theirs: readonly string[]) =>
    mine.every((one) => theirs.includes(one));
  return (
    (a.birth === undefined || birth === 'same') &&
    a.phones.every(({ tail }) => tails.includes(tail)) &&
    areIn(a.mails, b.mails) &&
    areIn(a.employers, b.employers) &&
    areIn(a.titles, b.titles) &&
    areIn(a.streets, b.streets)
  );
}
