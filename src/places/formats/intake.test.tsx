import { act } from 'react';

import type { FileContents, Job } from '@/book/clients';
import { type Card, newCard } from '@/core/card';

import { renderInBook, settle } from '../../../test/unit/renderInBook';
import { ImportPage } from './ImportPage';

/** The worker's mockAnswer to the next file; undefined for one that never comes. */
let mockAnswer: Partial<FileContents> | Error | undefined;
/** The columns that a table was last read by. */
let mockColumns: readonly string[] | undefined;
const mockStopped = jest.fn();
jest.mock('@/book/clients/filesClient', () => ({
  unpackFileInWorker: (name: string, bytes: Uint8Array) => ({
    result: Promise.resolve([{ name, bytes }]),
    stop: () => undefined,
  }),
  readFileInWorker: (_: unknown, __: unknown, columns?: readonly string[]): Job<unknown> => {
    mockColumns = columns;
    const result =
      mockAnswer === undefined
        ? new Promise(() => undefined)
        : mockAnswer instanceof Error
          ? Promise.reject(mockAnswer)
          : Promise.resolve({ formatLabel: 'test', ...mockAnswer });
    return { result, stop: () => mockStopped() as undefined };
  },
}));
let mockFiles: { name: string; arrayBuffer: () => Promise<ArrayBuffer> }[] = [];
jest.mock('@/platform', () => ({
  ...jest.requireActual<object>('@/platform'),
  pickFiles: () => Promise.resolve(mockFiles),
}));
jest.mock('@/platform/navigation', () => ({ go: jest.fn() }));
beforeEach(() => {
  mockFiles = [{ name: 'old.vcf', arrayBuffer: () => Promise.resolve(new ArrayBuffer(0)) }];
  mockStopped.mockClear();
});

const cardOf = (uid: string, full: string, more: Partial<Card> = {}): Card => ({
  ...newCard(uid, '2026-01-01T00:00:00Z'),
  name: { full },
  ...more,
});
const ada = cardOf('a', 'Ada Lowther', { emails: { e1: { address: 'ada@example.org' } } });
const changed = { ...ada, emails: { e1: { address: 'new@example.org' } } };

async function chooseFile(cards: readonly Card[] = [ada]) {
  const drawn = await renderInBook(<ImportPage />, cards);
  drawn.press(drawn.get('choose-files'));
  await settle();
  return drawn;
}

test('new, different and equal cards are told apart, and nothing is taken that was not chosen', async () => {
  mockAnswer = { cards: [changed, cardOf('b', 'Bo Ek'), cardOf('c', 'Cy Dee')], problems: [] };
  const drawn = await chooseFile();
  const preview = drawn.get('import-preview').textContent;
  expect(preview).toContain('2 new cards');
  expect(preview).toContain('1 card already here, but different');
  expect(preview).toContain('Differs in: mail');
  expect(drawn.store.getState().cards.byUid.uids()).toEqual(['a']);
  drawn.press(drawn.get('do-import'));
  await settle();
  const { byUid } = drawn.store.getState().cards;
  expect(byUid.uids().sort()).toEqual(['a', 'b', 'c']);
  expect(byUid.get('a')?.emails).toEqual(ada.emails);
  expect(drawn.get('import-done').textContent).toContain('2 cards imported from old.vcf');
  expect(drawn.get('import-done').textContent).toContain('1 card was left out');
});

test('a card that says the same in another writing is no other: numbers, mail, links, capitals, the order of entries', async () => {
  const known = cardOf('a', 'Ada Lowther', {
    phones: { p1: { number: '+442079460123' }, p2: { number: '+447700900123', features: { mobile: true } } },
    emails: { e1: { address: 'ada@example.org' } },
    links: { l1: { uri: 'https://example.org/ada' } },
    addresses: { a1: { components: [{ kind: 'locality', value: 'Wexmere' }], countryCode: 'GB' } },
  });
  const file = cardOf('a', 'Ada Lowther', {
    phones: {
      x1: { number: '07700 900123', features: { mobile: true } },
      x2: { number: '(020) 7946 0123' },
    },
    emails: { m: { address: 'Ada@Example.org' } },
    links: { w: { uri: 'http://EXAMPLE.org/ada' } },
    addresses: { z: { components: [{ kind: 'locality', value: 'WEXMERE' }] } },
  });
  mockAnswer = { cards: [file], problems: [] };
  const drawn = await chooseFile([known]);
  const preview = drawn.get('import-preview').textContent;
  expect(preview).not.toContain('different');
  expect(preview).toContain('already');
});

test('of a different card, values are taken one by one, or the book’s kept where the two differ', async () => {
  const known = { ...ada, name: { full: 'Ada Lowther' } };
  const file = {
    ...ada,
    emails: { e1: { address: 'new@example.org' } },
    phones: { p1: { number: '+44 20 7946 0001' } },
  };
  mockAnswer = { cards: [file], problems: [] };
  const drawn = await chooseFile([known]);
  drawn.press(drawn.get('take-different'));
  drawn.press(drawn.get('choose-values'));
  drawn.press(drawn.get('keep-mine'));
  const preview = drawn.get('import-preview').textContent;
  expect(preview).toContain('+44 20 7946 0001');
  drawn.press(drawn.get('do-import'));
  await settle();
  const now = drawn.store.getState().cards.byUid.get('a');
  expect(Object.values(now?.phones ?? {}).map(({ number }) => number)).toEqual(['+44 20 7946 0001']);
  expect(Object.values(now?.emails ?? {}).map(({ address }) => address)).toContain('ada@example.org');
});

test('what an import did can be read again even after a reload', async () => {
  mockAnswer = {
    cards: [cardOf('b', 'Bo Ek')],
    problems: [{ code: 'not-a-property', line: 7, message: 'no property', text: 'scribble' }],
  };
  const drawn = await chooseFile();
  drawn.press(drawn.get('do-import'));
  await settle();
  await drawn.writer.flush();
  // Another page over the same store, as after a reload.
  const again = await renderInBook(<ImportPage />, [], { storage: drawn.storage });
  await settle();
  again.press(again.get('show-last-import'));
  expect(again.get('import-done').textContent).toContain('1 card imported from old.vcf');
  expect(again.get('import-problems').textContent).toContain('scribble');
});

test('a different card is taken when asked for, and the import undoes as one', async () => {
  mockAnswer = { cards: [changed, cardOf('b', 'Bo Ek')], problems: [] };
  const drawn = await chooseFile();
  drawn.press(drawn.get('take-different'));
  drawn.press(drawn.get('do-import'));
  await settle();
  expect(drawn.store.getState().cards.byUid.get('a')?.emails).toEqual(changed.emails);
  const [undoAct] = drawn.all('button').filter(({ textContent }) => textContent === 'Undo the import');
  if (undoAct) drawn.press(undoAct);
  await settle();
  expect(drawn.store.getState().cards.byUid.uids()).toEqual(['a']);
  expect(drawn.store.getState().cards.byUid.get('a')?.emails).toEqual(ada.emails);
});

test('one card of a group can be left out', async () => {
  mockAnswer = { cards: [cardOf('b', 'Bo Ek'), cardOf('c', 'Cy Dee')], problems: [] };
  const drawn = await chooseFile();
  const [bo] = drawn.all('checkbox').filter((box) => box.getAttribute('aria-label') === 'Bo Ek');
  if (bo) drawn.press(bo);
  drawn.press(drawn.get('do-import'));
  await settle();
  expect(drawn.store.getState().cards.byUid.uids().sort()).toEqual(['a', 'c']);
});

test('the columns of a table are shown, changed by hand, read again and remembered', async () => {
  const table = {
    headings: ['Navn', 'X'],
    samples: [['Bo'], ['5']],
    columns: ['Shown as', 'Left out'],
    rows: 1,
  };
  mockAnswer = { cards: [cardOf('b', 'Bo Ek')], problems: [], table };
  const drawn = await chooseFile();
  expect(drawn.get('import-mapping').textContent).toContain('a table of 1 row');
  const column = () => drawn.all('button').find((one) => one.getAttribute('aria-label')?.startsWith('X:'));
  expect(column()?.getAttribute('aria-label')).toBe('X: Left out. Change');
  const opener = column();
  if (opener) drawn.press(opener);
  const tags = [...document.querySelectorAll<HTMLElement>('[role=radio]')].find(
    (one) => one.textContent === 'Tags',
  );
  if (tags) drawn.press(tags);
  await act(() => new Promise<void>((resolve) => setTimeout(resolve, 300)));
  expect(mockColumns).toEqual(['Shown as', 'Tags']);
  drawn.press(drawn.get('confirm-columns'));
  await settle();
  expect(drawn.get('import-preview').textContent).toContain('1 new card');
  expect(Object.values(drawn.store.getState().settings.tableColumns)).toEqual([['Shown as', 'Tags']]);
});

test('what could not be read is shown with its line and its text', async () => {
  mockAnswer = {
    cards: [],
    problems: [{ code: 'not-a-property', line: 7, message: 'no property', text: 'scribble' }],
  };
  const drawn = await chooseFile();
  expect(drawn.get('import-problems').textContent).toContain('old.vcf, line 7: no property');
  expect(drawn.get('import-problems').textContent).toContain('scribble');
  expect(() => drawn.get('do-import')).toThrow();
});

test('reading that fails says so, and that nothing was changed', async () => {
  mockAnswer = new Error('out of memory');
  const drawn = await chooseFile();
  expect(drawn.get('alert').textContent).toContain(
    'old.vcf could not be read: out of memory. Nothing was changed.',
  );
});

test('reading can be stopped', async () => {
  mockAnswer = undefined;
  const drawn = await chooseFile();
  expect(drawn.page.textContent).toContain('Reading old.vcf');
  const [stop] = drawn.all('button').filter(({ textContent }) => textContent === 'Stop');
  if (stop) drawn.press(stop);
  await settle();
  expect(mockStopped).toHaveBeenCalledTimes(1);
  expect(drawn.get('choose-files')).toBeTruthy();
});

test('choosing no file stays where it was', async () => {
  mockFiles = [];
  const drawn = await chooseFile();
  expect(drawn.get('choose-files')).toBeTruthy();
});
