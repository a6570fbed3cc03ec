import { computer } from './computer/computer';
import { mailClient } from './mailClient/mailClient';
import { phone } from './phone/phone';
import type { StandIn, StandInKind } from './standIn';

/** The devices that ship with the product. */
export const STAND_INS: Readonly<Record<StandInKind, StandIn>> = { phone, mail: mailClient, computer };

/** Whether a word names one of them. */
export function isStandInKind(word: string): word is StandInKind {
  return Object.hasOwn(STAND_INS, word);
}
