/** @jest-environment node */
// A file of tests that no project of Jest names would never run, and nothing would say so.
import { readdirSync, readFileSync } from 'node:fs';

/** The folders under src whose tests of an ending are run: '…/src/{core,hub}/**' and the ending. */
function foldersFor(ending: '.test.ts' | '.test.tsx'): string[] {
  const patterns = [...readFileSync('jest.config.js', 'utf8').matchAll(/'(<rootDir>\/src\/[^']+)'/g)].map(
    ([, one = '']) => one,
  );
  return patterns.flatMap((pattern) => {
    const [, braces, one, end] =
      /^<rootDir>\/src\/(?:\{([\w,]+)\}|(\w+))\/\*\*\/\*(\.test\.tsx?)$/.exec(pattern) ?? [];
    return end === ending ? (braces?.split(',') ?? [one ?? '']) : [];
  });
}

test('every file of tests in src is run', () => {
  const files = readdirSync('src', { recursive: true }).map(String);
  const missed = files.filter((file) => {
    const [ending] = /\.test\.tsx?$/.exec(file) ?? [];
    return ending !== undefined && !foldersFor(ending as '.test.ts').includes(file.split('/')[0] ?? '');
  });
  expect(files.length).toBeGreaterThan(500);
  expect(missed).toEqual([]);
});
