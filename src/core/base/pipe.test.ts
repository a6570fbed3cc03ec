import { Pipe } from './pipe';

test('values come in the order they were given, and who gives waits for each to be taken', async () => {
  const pipe = new Pipe<number>();
  let given = 0;
  const giving = (async () => {
    for (const value of [1, 2, 3]) {
      await pipe.give(value);
      given = value;
    }
    pipe.close();
  })();
  const taken: (readonly [value: number, given: number])[] = [];
  for await (const value of pipe) taken.push([value, given]);
  await giving;
  expect(taken).toEqual([
    [1, 0],
    [2, 1],
    [3, 2],
  ]);
});

test('who stops taking leaves nobody waiting, and a fault reaches who takes', async () => {
  const pipe = new Pipe<number>();
  const giving = Promise.all([pipe.give(1), pipe.give(2)]);
  for await (const _ of pipe) break;
  await giving;
  await pipe.give(3);
  const broken = new Pipe<number>();
  broken.close(new Error('torn'));
  await expect(
    (async () => {
      for await (const _ of broken);
    })(),
  ).rejects.toThrow('torn');
});
