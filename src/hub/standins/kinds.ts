import { computer } from './computer';
import { mailClient } from './mailClient';
import { phone } from './phone';
import type { StandIn, StandInKind, StandInState } from './standIn';

/** The devices that ship with the product. */
export const STAND_INS: Readonly<Record<StandInKind, StandIn>> = { phone, mail: mailClient, computer };

/** How often one comes by itself, in minutes: as it was set, or as such a device usually does. */
export function everyMinutesOf(kind: StandInKind, { everyMinutes }: StandInState): number {
  return everyMinutes ?? STAND_INS[kind].everyMinutes;
}

/** Whether a word names one of them. */
export function isStandInKind(word: string): word is StandInKind {
  return Object.hasOwn(STAND_INS, word);
}
