import { texts } from '@/texts/tidy/duplicates';

import type { DuplicateFacts } from './facts/facts';
import type { Evidence } from './model/evidence';
import type { Judgement } from './model/judgement';
import { judgeOrganisations } from './model/judgeOrganisations';
import { evidenceOf, judgePeople } from './model/judgePeople';
import type { Model } from './model/model';

const OTHER_KIND: Judgement = {
  probability: 0,
  evidence: [{ kind: 'name', words: texts.personAndOrganisation, bits: -20 }],
};

/** Weighs two cards by what the book has taught. */
export function judgePair(a: DuplicateFacts, b: DuplicateFacts, model: Model): Judgement {
  if (a.isOrg !== b.isOrg) return OTHER_KIND;
  return a.isOrg ? judgeOrganisations(a, b, model.vocabulary) : judgePeople(a, b, model);
}

/** What speaks for and against, the weightiest first. */
export function reasonsOf({ evidence, comparison, chances }: Judgement, model: Model): readonly Evidence[] {
  if (evidence) return evidence;
  return comparison && chances ? evidenceOf(comparison, chances, model) : [];
}
