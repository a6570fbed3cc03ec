import { cached } from './cached';

test('what has been made is made once, until too much is kept', () => {
  const made: string[] = [];
  const shout = cached(2, (text) => {
    made.push(text);
    return text.toUpperCase();
  });
  expect(['a', 'b', 'a', 'b'].map(shout)).toEqual(['A', 'B', 'A', 'B']);
  expect(made).toEqual(['a', 'b']);
  expect(['c', 'a'].map(shout)).toEqual(['C', 'A']);
  expect(made).toEqual(['a', 'b', 'c', 'a']);
});
