/** @jest-environment node */
import { breathe, breatheLast } from './breathe';

test('of many who wait one goes on per turn, and what is done when there is time after all others', async () => {
  const said: string[] = [];
  let turn = 0;
  const count = () => {
    turn += 1;
    if (turn < 20) setImmediate(count);
  };
  setImmediate(count);
  const work = async (name: string, wait: () => Promise<void>) => {
    for (let i = 0; i < 3; i++) {
      await wait();
      said.push(`${name}${turn}`);
    }
  };
  await Promise.all([work('chore', breatheLast), work('a', breathe), work('b', breathe)]);
  expect(said.map((one) => one.replace(/\d+/, ''))).toEqual([
    ...['a', 'b', 'a', 'b', 'a', 'b'],
    ...['chore', 'chore', 'chore'],
  ]);
  const turns = said.map((one) => Number(/\d+/.exec(one)));
  expect(new Set(turns).size).toBe(turns.length);
});
