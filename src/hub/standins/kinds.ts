import { computer } from './computer';
import { mailClient } from './mailClient';
import { phone } from './phone';
import type { StandIn, StandInHead, StandInKind } from './standIn';

/** The simulated devices. */
export const STAND_INS: Readonly<Record<StandInKind, StandIn>> = { phone, mail: mailClient, computer };

/** How often a device syncs by itself, in minutes: as set, or its default. */
export function everyMinutesOf(kind: StandInKind, { everyMinutes }: StandInHead): number {
  return everyMinutes ?? STAND_INS[kind].everyMinutes;
}

/** Whether a word names one of them. */
export function isStandInKind(word: string): word is StandInKind {
  return Object.hasOwn(STAND_INS, word);
}
