import { act } from 'react';

import { changeSettings } from '@/book/commit';
import { selectNotice } from '@/book/state';
import { type Card, newCard, parseName } from '@/core/card';

import { renderInBook, settle } from '../../../test/unit/renderInBook';
import { useBackupReminder } from './useBackupReminder';

function Reminder() {
  useBackupReminder();
  return null;
}
const cards = Array.from({ length: 25 }, (_, i): Card => ({
  ...newCard(`c${i}`, '2026-01-01T00:00:00Z'),
  name: parseName(`Ada Lowther${i}`) ?? {},
}));
const daysAgo = (days: number) => new Date(Date.now() - days * 86_400_000).toISOString();

async function noticeAfter(lastBackupAt: string, backupRemindedAt: string, some = cards) {
  const drawn = await renderInBook(<i />, some);
  act(() => drawn.store.dispatch(changeSettings({ lastBackupAt, backupRemindedAt })));
  drawn.redraw(<Reminder />);
  await settle();
  return selectNotice(drawn.store.getState())?.text ?? '';
}

const cases = [
  { name: 'an old backup', last: 40, reminded: 8, expected: 'The last backup is 40 days old' },
  { name: 'none at all', last: undefined, reminded: 8, expected: 'No backup of this book' },
  { name: 'an old backup, said this week already', last: 40, reminded: 2, expected: '' },
  { name: 'a backup of last week', last: 7, reminded: 8, expected: '' },
];
for (const { name, last, reminded, expected } of cases) {
  test(`the reminder of a backup: ${name}`, async () => {
    const text = await noticeAfter(last === undefined ? '' : daysAgo(last), daysAgo(reminded));
    if (expected === '') expect(text).not.toContain('backup');
    else expect(text).toContain(expected);
  });
}

test('a handful of cards is nothing to remind of', async () => {
  expect(await noticeAfter('', daysAgo(8), cards.slice(0, 3))).not.toContain('backup');
});
