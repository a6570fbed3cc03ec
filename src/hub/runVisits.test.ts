import { isDue } from './runVisits';

const NOW = Date.parse('2026-11-26T10:00:00Z');

test.each([
  ['due', '2026-11-26T09:59:59Z', true],
  ['not yet', '2026-11-26T10:40:00Z', false],
  ['planned when the clock was a year ahead', '2027-11-26T10:40:00Z', true],
])('a visit that is %s', (_, next, is) => {
  expect(isDue(next, 60, NOW)).toBe(is);
});
