import { act } from 'react';

import { changeBook } from '@/book/commit';
import { put } from '@/book/testing';
import { newCard } from '@/core/card';
import type { FoundCards, Hit } from '@/core/find';
import { emptyPlan } from '@/core/talks';
import { go } from '@/platform/navigation';

import { renderInBook, settle } from '../../../../test/unit/renderInBook';
import { QuickLine } from './QuickLine';

jest.mock('@/platform/navigation', () => ({ go: jest.fn() }));
beforeEach(() => jest.mocked(go).mockClear());

const cardOf = (uid: string, full: string) => ({ ...newCard(uid, '2026-01-01T00:00:00Z'), name: { full } });
const book = [cardOf('a', 'Ada Lowther'), cardOf('b', 'Bo Ek')];
const hit = (uid: string, more: Partial<Hit> = {}): Hit => ({
  uid,
  kind: 'person',
  shown: uid,
  score: 1,
  field: 'name',
  value: '',
  ...more,
});

/** A search whose answers are given by hand, in any order. */
function slowSearch() {
  const asked = new Map<string, (found: FoundCards) => void>();
  const search = {
    put: () => Promise.resolve(0),
    putTalks: () => Promise.resolve(),
    understand: () => Promise.resolve([]),
    help: () => Promise.resolve({ parts: [], rest: '' }),
    others: () => Promise.resolve([]),
    examples: () => Promise.resolve([]),
    find: (text: string) => new Promise<FoundCards>((resolve) => asked.set(text, resolve)),
    matching: () => Promise.resolve([]),
    onList: () => Promise.resolve([]),
    listsOf: () => Promise.resolve([]),
    today: () => Promise.resolve(emptyPlan),
    locate: () => Promise.resolve({ cards: [], hasGazetteer: false }),
    closenessOf: () => Promise.resolve(undefined),
    zoneOf: () => Promise.resolve(undefined),
    pointOf: () => Promise.resolve(undefined),
  };
  return {
    search,
    answer: (text: string, hits: Hit[]) =>
      act(async () => asked.get(text)?.({ words: text, tests: [], hits })),
  };
}
const key = (element: HTMLElement, name: string) =>
  act(
    () =>
      void element.dispatchEvent(
        new KeyboardEvent('keydown', { key: name, bubbles: true, cancelable: true }),
      ),
  );

/** What stands in the list, by the names read out. */
const options = ({ all }: { all: (role: string) => readonly HTMLElement[] }) =>
  all('option').map((option) => option.getAttribute('aria-label'));

test('what was found stands under the line, with the value that speaks for it', async () => {
  const { search, answer } = slowSearch();
  const drawn = await renderInBook(<QuickLine />, book, { search });
  drawn.type(drawn.get('combobox'), 'wex');
  await answer('wex', [hit('b', { field: 'place', value: 'Wexmere' })]);
  expect(drawn.all('option').map(({ textContent }) => textContent)).toEqual(['BEBo EkWexmere']);
  expect(drawn.get('combobox').getAttribute('aria-expanded')).toBe('true');
});

test('an answer that a later letter has overtaken is not shown', async () => {
  const { search, answer } = slowSearch();
  const drawn = await renderInBook(<QuickLine />, book, { search });
  drawn.type(drawn.get('combobox'), 'a');
  drawn.type(drawn.get('combobox'), 'ad');
  await answer('ad', [hit('a')]);
  await answer('a', [hit('b'), hit('a')]);
  expect(options(drawn)).toEqual(['Ada Lowther']);
});

test('what stands there is asked for again when the book changes', async () => {
  const { search, answer } = slowSearch();
  const drawn = await renderInBook(<QuickLine />, book, { search });
  drawn.type(drawn.get('combobox'), 'e');
  await answer('e', [hit('a')]);
  const edits = put(cardOf('c', 'Cy Ek'));
  await act(() => drawn.store.dispatch(changeBook({ cause: 'add', label: 'Added', edits })));
  await answer('e', [hit('c'), hit('a')]);
  expect(options(drawn)).toEqual(['Cy Ek', 'Ada Lowther']);
});

test('arrows choose, Enter opens the chosen one and empties the line', async () => {
  const { search, answer } = slowSearch();
  const drawn = await renderInBook(<QuickLine />, book, { search });
  const line = drawn.get('combobox') as HTMLInputElement;
  drawn.type(line, 'o');
  await answer('o', [hit('a'), hit('b')]);
  key(line, 'ArrowDown');
  key(line, 'ArrowDown');
  expect(line.getAttribute('aria-activedescendant')).toBe('found-1');
  expect(drawn.all('option').map((option) => option.getAttribute('aria-selected'))).toEqual([
    'false',
    'true',
  ]);
  key(line, 'Enter');
  expect(jest.mocked(go).mock.calls).toEqual([['/book/b']]);
  expect(line.value).toBe('');
});

test('Enter before the answer has come does what the answer says, not what the letters before had found', async () => {
  const { search, answer } = slowSearch();
  const drawn = await renderInBook(<QuickLine />, book, { search });
  const line = drawn.get('combobox') as HTMLInputElement;
  drawn.type(line, 'b');
  await answer('b', [hit('a'), hit('b')]);
  drawn.type(line, 'bo');
  key(line, 'Enter');
  expect(go).not.toHaveBeenCalled();
  await answer('bo', [hit('b')]);
  expect(jest.mocked(go).mock.calls).toEqual([['/book/b']]);
  expect(line.value).toBe('');
});

test('whoever types on after Enter means the longer line', async () => {
  const { search, answer } = slowSearch();
  const drawn = await renderInBook(<QuickLine />, book, { search });
  const line = drawn.get('combobox') as HTMLInputElement;
  drawn.type(line, 'b');
  key(line, 'Enter');
  drawn.type(line, 'bo');
  await answer('b', [hit('a')]);
  await answer('bo', [hit('b')]);
  expect(go).not.toHaveBeenCalled();
  key(line, 'Enter');
  expect(jest.mocked(go).mock.calls).toEqual([['/book/b']]);
});

test('Enter before anything was found opens nothing; Escape closes', async () => {
  const { search, answer } = slowSearch();
  const drawn = await renderInBook(<QuickLine />, book, { search });
  const line = drawn.get('combobox') as HTMLInputElement;
  drawn.type(line, 'x');
  key(line, 'Enter');
  expect(go).not.toHaveBeenCalled();
  await answer('x', []);
  expect(drawn.page.textContent).toContain('Nothing found for “x”');
  key(line, 'Escape');
  await settle();
  expect(line.value).toBe('');
});

test('a page is gone to by its name, and stands behind whoever is called so', async () => {
  const { search, answer } = slowSearch();
  const drawn = await renderInBook(<QuickLine />, book, { search });
  const line = drawn.get('combobox') as HTMLInputElement;
  // Two letters begin too many names.
  drawn.type(line, 'de');
  await answer('de', []);
  expect(options(drawn)).toEqual([]);
  // Somebody new may be called so too.
  drawn.type(line, 'dev');
  await answer('dev', []);
  expect(options(drawn)).toEqual([
    'Devices, Go there',
    'Connect a device, Go there',
    'Log of the devices, Go there',
  ]);
  expect(drawn.page.textContent).toContain('No card found for “dev”');
  drawn.type(line, 'devices');
  await answer('devices', [hit('a', { field: 'note', value: 'devices' })]);
  expect(options(drawn)[0]).toBe('Devices, Go there');
  await answer('devices', []);
  // A page stands there once.
  drawn.type(line, 'lists');
  await answer('lists', []);
  expect(options(drawn)).toEqual(['Lists, Go there']);
  drawn.type(line, 'tidy');
  await answer('tidy', [hit('b')]);
  expect(options(drawn)).toEqual(['Bo Ek', 'Tidy, Go there']);
  key(line, 'ArrowDown');
  key(line, 'Enter');
  expect(jest.mocked(go).mock.calls).toEqual([['/tidy']]);
});

test('a name that nobody has begins a new card', async () => {
  const { search, answer } = slowSearch();
  const drawn = await renderInBook(<QuickLine />, book, { search });
  drawn.type(drawn.get('combobox'), 'Cy Dee');
  await answer('Cy Dee', []);
  const [offer] = drawn.all('button').filter(({ textContent }) => textContent === 'New card with this name');
  if (offer) drawn.press(offer);
  expect(go).toHaveBeenCalledWith('/book/new?name=Cy%20Dee');
});
