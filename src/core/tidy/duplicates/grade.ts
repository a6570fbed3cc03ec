import type { PairComparison } from './model/comparePair';
import type { Judgement } from './model/judgement';

/** How sure it is. */
export type Grade = 'certain' | 'likely' | 'possible';

/** Probabilities from which a cluster is certain, likely, possible. Our choice. */
const [CERTAIN, LIKELY] = [0.99, 0.9];

/** Certain is only what two kinds of evidence say, and nothing denies: it may be merged without being looked at. */
export function gradeOf(judgement: Judgement): Grade {
  if (judgement.probability >= CERTAIN && isBeyondDoubt(judgement)) return 'certain';
  return judgement.probability >= LIKELY ? 'likely' : 'possible';
}

/** The less sure of two grades. */
export function worseGrade(a: Grade, b: Grade): Grade {
  return a === 'possible' || b === 'possible'
    ? 'possible'
    : a === 'likely' || b === 'likely'
      ? 'likely'
      : 'certain';
}

function isBeyondDoubt({ comparison, evidence = [] }: Judgement): boolean {
  if (comparison) return isOnePerson(comparison);
  const kinds = new Set(evidence.filter(({ bits }) => bits > 2).map(({ kind }) => kind));
  return kinds.size >= 2 && !evidence.some(({ bits }) => bits < -1);
}

/**
 * A full name, and what only one person has; a number or an address of a household is not enough, nor that of a desk, unless
 * the name is the same to the letter and one of the two says nothing else: then nothing could be mixed up.
 */
function isOnePerson({ name, mail, phone, birth, generation, isWithin }: PairComparison): boolean {
  if (name.conflict !== 'none' && name.conflict !== 'extra') return false;
  if (['oneSaid', 'differ'].includes(generation)) return false;
  if (['slip', 'near', 'otherYear', 'differ', 'years'].includes(birth)) return false;
  const full = name.matches.filter(({ level }) => level !== 'initial').length > 1;
  const isToTheLetter = name.conflict === 'none' && name.matches.every(({ level }) => level === 'same');
  const own = [
    mail.level === 'same',
    phone.level === 'mobile' || phone.level === 'extension',
    birth === 'same',
    phone.level === 'same' && isWithin && isToTheLetter,
  ].filter(Boolean).length;
  return full ? own > 0 : own > 1;
}
