import type { KeyboardEvent } from 'react';

import { type GridActs, onGridKey } from './onGridKey';

/** What a key does on a table of four rows and three columns. */
function press(key: string, held: Partial<KeyboardEvent> = {}, active?: GridActs['active']): string {
  const done: string[] = [];
  const note = (what: string) => () => void done.push(what);
  onGridKey(
    {
      ...{ key, ctrlKey: false, metaKey: false, shiftKey: false, altKey: false },
      ...{ target: 1, currentTarget: 1, preventDefault: note('used'), stopPropagation: () => undefined },
      ...held,
    } as unknown as KeyboardEvent,
    {
      ...{ active, size: { rows: 4, columns: 3 } },
      choose: ({ row, column }, extendsBlock) =>
        done.push(`${row},${column}${extendsBlock === true ? ' block' : ''}`),
      edit: (text) => done.push(text === undefined ? 'edit' : `edit ${text}`),
      ...{ empty: note('empty'), open: note('open'), chooseAll: note('all') },
      pick: (isRange) => done.push(isRange ? 'pick range' : 'pick'),
    },
  );
  return done.filter((what) => what !== 'used').join(' ');
}

const at = { row: 1, column: 1 };
const cases: { key: string; held?: Partial<KeyboardEvent>; does: string }[] = [
  { key: 'ArrowDown', does: '2,1' },
  { key: 'ArrowUp', does: '0,1' },
  { key: 'ArrowRight', held: { shiftKey: true }, does: '1,2 block' },
  { key: 'PageDown', does: '3,1' },
  { key: 'Home', does: '1,0' },
  { key: 'End', does: '1,2' },
  { key: 'End', held: { ctrlKey: true }, does: '3,2' },
  { key: 'Enter', does: 'edit' },
  { key: 'Enter', held: { ctrlKey: true }, does: 'open' },
  { key: 'F2', does: 'edit' },
  { key: 'é', does: 'edit é' },
  { key: '/', does: '' },
  { key: 'Delete', does: 'empty' },
  { key: ' ', does: 'pick' },
  { key: ' ', held: { shiftKey: true }, does: 'pick range' },
  { key: 'a', held: { ctrlKey: true }, does: 'all' },
  { key: 'c', held: { ctrlKey: true }, does: '' },
  { key: 'Escape', does: '' },
];
for (const { key, held, does } of cases) {
  const name = [held?.ctrlKey ? 'Ctrl' : '', held?.shiftKey ? 'Shift' : '', key].filter(Boolean).join(' ');
  test(`on the table ${name} does: ${does || 'nothing'}`, () => expect(press(key, held, at)).toBe(does));
}

test('without an active cell an arrow goes to the first, and a letter does nothing', () => {
  expect(press('ArrowDown')).toBe('0,0');
  expect(press('x')).toBe('');
});

test('keys typed into a field of the table are the field’s', () => {
  expect(press('ArrowDown', { target: {} as EventTarget }, at)).toBe('');
});
