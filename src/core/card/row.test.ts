import { parseName } from './name/parseName';
import { newCard } from './parseCard';
import { type RowStyle, toRow } from './row';
import { secondLine } from './secondLine';

const card = {
  ...newCard('a', '2026-01-01T00:00:00Z'),
  name: parseName('Dr Ada Lowther') ?? {},
  nicknames: { k: { name: 'Addie' } },
  titles: { t: { name: 'Piano tuner' } },
  organizations: { o: { name: 'Brzeg & Sons' } },
  addresses: { a: { components: [{ kind: 'locality', value: 'Gdynia' }] } },
  phones: { p1: { number: 'tel:+441632960001' }, p2: { number: '+44 1632 960002', pref: 1 } },
  emails: { e: { address: 'ada@example.org' } },
  keywords: { tuner: true as const, pianos: true as const },
};
const collator = new Intl.Collator('en', { sensitivity: 'base' });
const usual: RowStyle = { by: 'surname', particlesCount: false };

test('under a name stand post and organisation, then the place', () => {
  expect(toRow(card, usual, collator).second).toBe('Piano tuner, Brzeg & Sons · Gdynia');
});

test('what stands under a name is chosen, and its order', () => {
  expect(secondLine(card, ['place', 'number'])).toBe('Gdynia · +44 1632 960002');
  expect(secondLine(card, ['nickname', 'post', 'mail', 'tags'])).toBe(
    'Addie · Piano tuner · ada@example.org · tuner, pianos',
  );
  expect(secondLine(card, [])).toBe('');
});

test('a row is shown in the chosen style and keeps its place by surname', () => {
  const row = toRow(card, { ...usual, name: { order: 'surnameFirst', length: 'plain' } }, collator);
  expect(row).toMatchObject({ shown: 'Lowther, Ada', letter: 'L' });
  expect(row.sortText).toBe(toRow(card, usual, collator).sortText);
});
