import { cardsArrived } from '@/book/state';
import { type Card, cardValues, newCard, parseName } from '@/core/card';
import { go, guardLeaving } from '@/platform/navigation';

import { numbered } from '../../../test/unit/numbered';
import { renderInBook, settle } from '../../../test/unit/renderInBook';
import { CardEditor } from './edit/CardEditor';
import { Brief } from './parts/Brief';
import { ValueRows } from './parts/ValueRows';
import { ReachRow } from './ReachRow';

jest.mock('@/platform/navigation', () => ({
  go: jest.fn(),
  goBack: jest.fn(),
  guardLeaving: jest.fn(() => () => undefined),
}));
beforeEach(() => {
  jest.mocked(go).mockClear();
  jest.mocked(guardLeaving).mockClear();
});

const name = parseName('Ada Lowther') ?? {};
const ada: Card = {
  ...newCard('a', '2026-01-01T00:00:00Z'),
  name,
  titles: { t1: { name: 'Piano tuner', kind: 'title' } },
  organizations: { g1: { name: 'Brine & Bellows' } },
  phones: {
    p1: { number: '+44 20 7946 0958', contexts: { work: true } },
    p2: { number: '+44 7700 900123', features: { mobile: true } },
  },
  emails: { e1: { address: 'ada@example.org' } },
  links: { l1: { uri: 'javascript:alert(1)' } },
  notes: { o1: { note: 'First line\nSecond line' } },
  cryptoKeys: { k1: { uri: 'data:,key' } },
};
const options = { country: 'GB', locale: 'en-GB', today: '2026-11-24' };

test('the head says name, what they do and where', async () => {
  const { page } = await renderInBook(<Brief card={ada} />, [ada]);
  expect(page.textContent).toBe('ALAda LowtherPiano tuner, Brine & Bellows');
});

test('a card without a name is shown by what it has', async () => {
  const { name: _, ...rest } = ada;
  expect((await renderInBook(<Brief card={rest} />)).page.textContent).toContain('Brine & Bellows');
});

test('ways to reach are links; a way the card has nothing for is not offered', async () => {
  const drawn = await renderInBook(<ReachRow card={ada} own={undefined} country="GB" />);
  const links = [...drawn.page.querySelectorAll('a')].map((link) => [
    link.getAttribute('aria-label'),
    link.getAttribute('href'),
  ]);
  expect(links).toEqual([
    ['Call', 'tel:+442079460958'],
    ['Message', 'sms:+447700900123'],
    ['Write', 'mailto:ada@example.org'],
  ]);
});

test('every value is something to press: a link where it opens something safe, else a button that copies', async () => {
  const drawn = await renderInBook(<ValueRows card={ada} groups={cardValues(ada, options)} />, [ada]);
  const values = [...drawn.page.querySelectorAll<HTMLElement>('[data-testid="value"]')];
  expect(values.map((value) => value.getAttribute('href'))).toEqual([
    'tel:+442079460958',
    'tel:+447700900123',
    'mailto:ada@example.org',
    null,
    null,
    null,
  ]);
  const copied: string[] = [];
  Object.assign(navigator, {
    clipboard: { writeText: (text: string) => Promise.resolve(void copied.push(text)) },
  });
  for (const value of values.slice(3, 5)) drawn.press(value);
  await settle();
  expect(copied).toEqual(['javascript:alert(1)', 'First line\nSecond line']);
  expect(drawn.store.getState().status.notices[0]?.text).toBe('Copied First line, Second line');
});

test('what is typed is on the card after Save, what the form does not show has stayed', async () => {
  const drawn = await renderInBook(<CardEditor base={ada} isNew={false} title="Edit" at={undefined} />, [
    ada,
  ]);
  drawn.type(drawn.get('field-nickname'), 'Addie');
  drawn.type(drawn.get('phone-0'), '020 7946 0000');
  drawn.press(drawn.get('save-card'));
  await settle();
  const card = drawn.store.getState().cards.byUid.get('a');
  expect(Object.values(card?.nicknames ?? {})).toEqual([{ name: 'Addie' }]);
  expect(card?.phones?.['p1']).toEqual({ number: '020 7946 0000', contexts: { work: true } });
  expect(card?.cryptoKeys).toEqual(ada.cryptoKeys);
  expect(go).toHaveBeenCalledWith('/book/a', 'replace');
});

test('an error keeps what was typed, marks its field, and saves nothing', async () => {
  const drawn = await renderInBook(<CardEditor base={ada} isNew={false} title="Edit" at={undefined} />, [
    ada,
  ]);
  drawn.type(drawn.get('mail-0'), 'no mail');
  drawn.press(drawn.get('save-card'));
  await settle();
  expect(drawn.get('mail-0').getAttribute('aria-invalid')).toBe('true');
  expect((drawn.get('mail-0') as HTMLInputElement).value).toBe('no mail');
  expect(drawn.store.getState().cards.byUid.get('a')?.emails).toEqual(ada.emails);
  expect(go).not.toHaveBeenCalled();
});

test('values are added and taken off', async () => {
  const drawn = await renderInBook(<CardEditor base={ada} isNew={false} title="Edit" at={undefined} />, [
    ada,
  ]);
  const takeOff = () =>
    drawn.all('button').filter((button) => button.getAttribute('aria-label')?.startsWith('Remove phone'));
  expect(takeOff()).toHaveLength(2);
  drawn.press(drawn.get('add-phones'));
  await settle();
  drawn.type(drawn.get('phone-2'), '123');
  const [first] = takeOff();
  if (first) drawn.press(first);
  await settle();
  drawn.press(drawn.get('save-card'));
  await settle();
  const phones = drawn.store.getState().cards.byUid.get('a')?.phones;
  expect(Object.values(phones ?? {}).map(({ number }) => number)).toEqual(['+44 7700 900123', '123']);
});

test('leaving is guarded only while something is unsaved', async () => {
  const drawn = await renderInBook(<CardEditor base={ada} isNew={false} title="Edit" at={undefined} />, [
    ada,
  ]);
  expect(guardLeaving).not.toHaveBeenCalled();
  drawn.type(drawn.get('field-title'), 'Organ tuner');
  await settle();
  expect(guardLeaving).toHaveBeenCalledTimes(1);
});

test('what came from elsewhere while editing is not overwritten', async () => {
  const drawn = await renderInBook(<CardEditor base={ada} isNew={false} title="Edit" at={undefined} />, [
    ada,
  ]);
  drawn.type(drawn.get('field-nickname'), 'Addie');
  drawn.store.dispatch(
    cardsArrived({ upserts: [{ ...ada, emails: { e1: { address: 'new@example.org' } } }], removed: [] }),
  );
  drawn.press(drawn.get('save-card'));
  await settle();
  expect(numbered(drawn.store.getState().cards.byUid.get('a') ?? {})).toMatchObject({
    nicknames: { n1: { name: 'Addie' } },
    emails: { e1: { address: 'new@example.org' } },
  });
});
