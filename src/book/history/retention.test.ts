import fc from 'fast-check';

import { outlivedSteps } from './retention';
import type { Step } from './step';

const step = (id: number, at: string, more: Partial<Step> = {}): Step => ({
  ...{ id: String(id).padStart(4, '0'), at: `${at}T10:00:00Z`, cause: 'edit', label: '', state: 'done' },
  ...{ cards: 1, talks: 0, pieces: 1, size: 1000 },
  ...more,
});
const today = '2026-11-29';
const idsOf = (steps: readonly Step[]) => steps.map(({ id }) => Number(id));

test('what is older than the years that are set goes, to the day', () => {
  const steps = [step(1, '2024-11-28'), step(2, '2024-11-29'), step(3, '2026-11-28')];
  expect(idsOf(outlivedSteps(steps, { years: 2, megabytes: 200 }, today))).toEqual([1]);
  expect(outlivedSteps(steps, { years: 0, megabytes: 200 }, today)).toEqual([]);
});

test('a merge that stands, and what is under way, is kept however old it is; an undone merge is not', () => {
  const steps = [
    step(1, '2001-01-01', { cause: 'merge' }),
    step(2, '2001-01-01', { cause: 'merge', state: 'undone' }),
    step(3, '2001-01-01', { todo: { next: 1, pieces: 2 } }),
    step(4, '2001-01-01', { replaying: { direction: 'backward', next: 1 } }),
  ];
  expect(idsOf(outlivedSteps(steps, { years: 1, megabytes: 200 }, today))).toEqual([2]);
});

test('law: what is left has room, but for what must stay; the newest are never given up for older ones', () => {
  const any = fc.array(
    fc.record({
      size: fc.nat({ max: 400_000 }),
      isMerge: fc.boolean(),
      month: fc.integer({ min: 1, max: 12 }),
    }),
    { maxLength: 30 },
  );
  fc.assert(
    fc.property(any, fc.integer({ min: 0, max: 3 }), (made, megabytes) => {
      const steps = made.map(({ size, isMerge, month }, i) =>
        step(i, `2026-${String(month).padStart(2, '0')}-01`, { size, cause: isMerge ? 'merge' : 'edit' }),
      );
      const gone = new Set(outlivedSteps(steps, { years: 0, megabytes }, today));
      const kept = steps.filter((one) => !gone.has(one));
      const free = kept.filter(({ cause }) => cause !== 'merge');
      const sum = kept.reduce((all, { size }) => all + size, 0);
      expect(free.length === 0 || sum <= megabytes * 1e6).toBe(true);
      const lastGone = Math.max(-1, ...idsOf([...gone]));
      expect(free.every(({ id }) => Number(id) > lastGone)).toBe(true);
      expect([...gone].some(({ cause }) => cause === 'merge')).toBe(false);
    }),
  );
});
