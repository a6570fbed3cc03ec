import { addDays } from '@/core/base';
import type { Card } from '@/core/card';
import { type Direction, type Talk, TALK_KINDS } from '@/core/talks';

import { generateBook } from './generateBook';
import { Dice } from './random';
import { SAID } from './said.data';

const SEED = 1871;
/** Two years of talks. */
const DAYS = 730;

/** How somebody is in touch: how often, and how many days ago the last talk was at least. */
interface Habit {
  readonly share01: number;
  readonly gap: number;
  readonly silent: number;
}

/** Most people now and then, some often, some have gone quiet, with some there was never a talk. */
const HABITS: readonly Habit[] = [
  { share01: 0.28, gap: 0, silent: 0 },
  { share01: 0.36, gap: 95, silent: 4 },
  { share01: 0.22, gap: 34, silent: 1 },
  { share01: 0.14, gap: 24, silent: 110 },
];

/**
 * The talks of the demo's book: two years, the same every time for the same day.
 *
 * @param today - 2026-11-24; nothing lies after it
 */
export function generateTalks(today: string): Talk[] {
  const dice = new Dice(SEED);
  const people = generateBook(today).filter(({ kind }) => kind !== 'org' && kind !== 'group');
  return people.flatMap((card, index) => talksOf(card, index, habitOf(dice), today, dice));
}

function habitOf(dice: Dice): Habit {
  let left = dice.next();
  const habit = HABITS.find(({ share01 }) => (left -= share01) < 0);
  return habit ?? { share01: 0, gap: 0, silent: 0 };
}

function talksOf(card: Card, index: number, { gap, silent }: Habit, today: string, dice: Dice): Talk[] {
  const talks: Talk[] = [];
  if (gap === 0) return talks;
  for (
    let ago = silent + dice.below(gap);
    ago < DAYS;
    ago += Math.max(1, Math.round(gap * (0.5 + dice.next())))
  ) {
    const kind = dice.pick(TALK_KINDS);
    const direction: Direction = kind === 'meeting' ? 'both' : dice.pick(['out', 'out', 'in'] as const);
    talks.push({
      id: `t${index}-${ago}`,
      kind,
      day: addDays(today, -ago),
      ...(kind === 'letter'
        ? {}
        : { time: `${String(9 + dice.below(9)).padStart(2, '0')}:${dice.pick(['00', '15', '30', '45'])}` }),
      direction,
      with: [card.uid],
      said: dice.chance(0.8) ? dice.pick(SAID) : '',
    });
  }
  return talks;
}
