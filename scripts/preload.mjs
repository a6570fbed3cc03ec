// Lets the browser fetch the pieces of the page that is asked for, and the fonts, beside the program and not after it.
import { createHash } from 'node:crypto';
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

import { fail, ROOT } from './setup.mjs';

const SCRIPTS = '_expo/static/js/web';
/** What a route loads by itself, by the names of the files that it loads. */
const ALSO = {
  'book/_layout': ['BookPlace'],
  'lists/_layout': ['ListsPlace'],
  'devices/_layout': ['DevicesPlace'],
  'book/[card]/index': ['pages'],
  'book/[card]/edit': ['pages'],
  'book/new': ['pages'],
};

/** Writes the script that asks for the pieces of the address, and names it and the fonts in index.html. @param out - the build */
export function preloadPieces(out) {
  const names = readdirSync(join(out, SCRIPTS)).filter((name) => name.endsWith('.js'));
  const pieces = routesOf(out, names);
  for (const [route, also] of Object.entries(ALSO)) {
    if (!pieces.has(route)) fail(`There is no route ${route} to load pieces for.`);
    for (const name of also) pieces.get(route).push(pathOf(names, name));
  }
  const program = readFileSync(join(ROOT, 'scripts', 'page', 'ahead.js'), 'utf8');
  if (!program.includes('const PIECES = [];')) fail('ahead.js has no place for the pieces.');
  const text = program.replace('const PIECES = [];', `const PIECES = ${JSON.stringify(tableOf(pieces))};`);
  const name = `${SCRIPTS}/ahead-${createHash('md5').update(text).digest('hex')}.js`;
  writeFileSync(join(out, name), text);
  nameInPage(out, name);
}

function pathOf(names, piece) {
  const found = names.filter((name) => name.startsWith(`${piece}-`));
  if (found.length !== 1) fail(`The build has ${found.length} files for the piece ${piece}.`);
  return `/${SCRIPTS}/${found[0]}`;
}

/** Each route's own piece, as the router's table of routes names them. */
function routesOf(out, names) {
  const line = names
    .flatMap((name) => readFileSync(join(out, SCRIPTS, name), 'utf8').split('\n'))
    .find((each) => each.includes('"./_layout.tsx":{enumerable'));
  const [, table] = /\},\d+,(\{.*\})\);?$/.exec(line ?? '') ?? fail('The build has no table of routes.');
  const { paths, ...ids } = JSON.parse(table);
  const entries = [
    ...line.matchAll(/"\.\/([^"]+)\.tsx":\{enumerable:!0,get:\(\)=>r\(d\[1\]\)\(d\[(\d+)\],/g),
  ];
  return new Map(
    entries
      .map(([, route, at]) => [route, [paths[ids[at]]].flat().filter(Boolean)])
      .filter(([, files]) => files.length > 0),
  );
}

/** Patterns of addresses with the files of each; those without a wildcard first. */
function tableOf(pieces) {
  const layouts = [...pieces].filter(([route]) => route.endsWith('_layout'));
  const every = layouts.flatMap(([, files]) => files[0]);
  return [...pieces]
    .filter(([route]) => !/_layout$|^\+/.test(route))
    .sort(([a], [b]) => Number(a.includes('[')) - Number(b.includes('[')))
    .map(([route, files]) => {
      const around = layouts.find(
        ([layout]) => layout !== '_layout' && route.startsWith(layout.slice(0, -7)),
      );
      const address = route.replace(/\/?index$/, '').replace(/\[\w+\]/g, '[^/]+');
      const own = route === 'index' ? [...files, ...(pieces.get('today/index') ?? [])] : files;
      return [`^/${address}/?$`, [...new Set([...every, ...(around?.[1] ?? []), ...own])]];
    });
}

function nameInPage(out, script) {
  const page = join(out, 'index.html');
  const fonts = readdirSync(join(out, 'assets'), { recursive: true })
    .map(String)
    // Italics stand on few pages, and fetching them ahead would take the way of what stands on all.
    .filter((file) => /\.ttf$/.test(file) && !/Italic/.test(file))
    .map(
      (file) => `<link rel="preload" as="font" crossorigin href="/assets/${file.replaceAll('\\', '/')}" />`,
    );
  const text = readFileSync(page, 'utf8').replace('<title>', `${fonts.join('\n    ')}\n    <title>`);
  // After the sketch, which it may replace, and before the root, so that it is there before anything is drawn.
  const place = '<div id="root">';
  if (!text.includes(place)) fail('index.html has no root.');
  writeFileSync(page, text.replace(place, `<script src="/${script}"></script>\n    ${place}`));
}
