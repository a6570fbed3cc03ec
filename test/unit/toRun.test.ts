// What starts the application is there without what develops it (npm ci --omit=dev).
import { readdirSync, readFileSync, statSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';

const ROOT = join(__dirname, '../..');
const { devDependencies } = JSON.parse(readFileSync(join(ROOT, 'package.json'), 'utf8')) as {
  devDependencies: Record<string, string>;
};
const filesIn = (folder: string): string[] =>
  readdirSync(join(ROOT, folder)).flatMap((name) => {
    const path = `${folder}/${name}`;
    return statSync(join(ROOT, path)).isDirectory() ? filesIn(path) : [path];
  });

/** Packages that a file and those it imports by a path import. */
function packagesFrom(file: string, known = new Set<string>()): Set<string> {
  const found = new Set<string>();
  if (known.has(file)) return found;
  known.add(file);
  const text = readFileSync(file, 'utf8');
  for (const [, , name = ''] of text.matchAll(/(from|import\(|require\(|require\.resolve\()\s*'([^']+)'/g)) {
    if (name.startsWith('node:')) continue;
    if (name.startsWith('.')) {
      const path = resolve(dirname(file), name);
      const there = [path, `${path}.js`, `${path}.cjs`].find((one) =>
        statSync(one, { throwIfNoEntry: false })?.isFile(),
      );
      for (const one of there === undefined ? [] : packagesFrom(there, known)) found.add(one);
    } else found.add(/^(?:@[^/]+\/)?[^/]+/.exec(name)?.[0] ?? name);
  }
  return found;
}

test.each([
  ...['scripts/start.mjs', 'scripts/demo.mjs', 'scripts/hub.mjs', 'metro.config.js', 'babel.config.js'],
  ...['tailwind.config.js', ...filesIn('scripts/babel'), ...filesIn('scripts/metro')],
])('%s needs nothing that only developing takes', (file) => {
  const developing = [...packagesFrom(join(ROOT, file))].filter((name) =>
    Object.hasOwn(devDependencies, name),
  );
  expect(developing).toEqual([]);
});
