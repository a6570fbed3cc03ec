/** @jest-environment node */
// What public/index.html shows before the program has been read says what the program will say, in the same colours.
import { readFileSync } from 'node:fs';

import { texts } from '@/texts/find/quickline';
import tokens from '@/ui/theme/tokens.json';

const page = readFileSync('public/index.html', 'utf8');

test('the sketch of the frame names the places as the bar does', () => {
  const names = [...page.matchAll(/<span>(.*?)<\/span>/g)].map(([, name]) => name);
  expect(names).toEqual([texts.today, texts.book, texts.lists, texts.tidy, texts.devices]);
});

test('the sketch has the colours of the look, in the light and in the dark', () => {
  const [light, dark] = ['leaf', 'rule', 'faded', 'berry'].reduce<[string[], string[]]>(
    ([one, other], name) => {
      const found = [...page.matchAll(new RegExp(`--${name}: (#[0-9a-f]{6})`, 'gi'))].map(([, colour]) =>
        String(colour).toUpperCase(),
      );
      return [
        [...one, `${name} ${found[0]}`],
        [...other, `${name} ${found[1]}`],
      ];
    },
    [[], []],
  );
  const of = (colours: Readonly<Record<string, string>>) =>
    ['leaf', 'rule', 'faded', 'berry'].map((name) => `${name} ${colours[name]?.toUpperCase()}`);
  expect(light).toEqual(of(tokens.colours.light));
  expect(dark).toEqual(of(tokens.colours.dark));
});
