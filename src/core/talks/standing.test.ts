import { formatAgo, formatDue, standingOf } from './standing';

const today = '2026-11-25';
const cases = [
  {
    name: 'half way',
    day: '2026-12-05',
    last: '2026-11-15',
    share: 0.5,
    label: 'due in 10 days',
    isLate: false,
  },
  { name: 'on the day', day: today, last: '2026-11-15', share: 1, label: 'due today', isLate: false },
  {
    name: 'late by half',
    day: '2026-11-15',
    last: '2026-10-26',
    share: 1.5,
    label: '10 days late',
    isLate: true,
  },
  { name: 'just talked', day: '2026-12-25', last: today, share: 0, label: 'due in 30 days', isLate: false },
  { name: 'no talk yet', day: '2026-11-26', last: undefined, share: 0, label: 'due in 1 day', isLate: false },
  {
    name: 'no talk yet and late',
    day: '2026-11-24',
    last: undefined,
    share: 2,
    label: '1 day late',
    isLate: true,
  },
];
for (const { name, day, last, ...standing } of cases) {
  test(`how things stand: ${name}`, () => {
    expect(standingOf({ day, by: 'rhythm' }, last, today)).toEqual(standing);
  });
}

test('days in words', () => {
  expect([0, 1, -1, 6].map(formatDue)).toEqual(['due today', 'due in 1 day', '1 day late', 'due in 6 days']);
  expect([0, 1, 6, 35, 90, 120, 365, 900].map(formatAgo)).toEqual([
    'today',
    'yesterday',
    '6 days ago',
    '5 weeks ago',
    '13 weeks ago',
    '4 months ago',
    '12 months ago',
    '2 years ago',
  ]);
});
