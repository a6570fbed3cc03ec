// Checks who imports whom. It looks through indexes to the file that declares a name, which no lint rule does; that is why
// cycles of folders show here and an index makes none. The tables below are the whole of the rules.
const { posix } = require('node:path');

const ts = require('typescript');

/** Layers, and the layers each may import besides itself and the texts. */
const LAYERS = {
  texts: [],
  core: [],
  platform: ['core'],
  book: ['core', 'platform'],
  ui: [],
  places: ['ui', 'book', 'core', 'platform'],
  app: ['places', 'ui', 'book', 'platform'],
  entry: ['platform'],
  hub: ['core', 'demo'],
  cli: ['core'],
  demo: ['core'],
};

/** Domains of the core, and the domains each may import besides itself. */
const DOMAINS = {
  base: [],
  card: ['base'],
  lists: ['base', 'card'],
  talks: ['base', 'card'],
  formats: ['base', 'card', 'talks'],
  find: ['base', 'card', 'lists', 'talks'],
  tidy: ['base', 'card', 'talks'],
  extract: ['base', 'card', 'talks'],
  write: ['base', 'card', 'lists', 'formats'],
  sync: ['base', 'card', 'talks'],
  directory: ['base', 'card'],
};

/** Folders of the layers that are laid out by domain: the domains, and what serves all of them. */
const FOLDERS = {
  core: Object.keys(DOMAINS),
  book: [...domainsBut('base'), 'history', 'state', 'commit', 'store', 'clients', 'workers', 'settings'],
  hub: ['base', 'card', 'talks', 'write', 'sync', 'directory', 'dav', 'access', 'api', 'store', 'standins'],
  places: [...domainsBut('base'), 'frame', 'settings'],
};

/** Folders of the catalogue of texts: one for each domain, and for the parts of the application that belong to none. */
const TEXT_FOLDERS = [...Object.keys(DOMAINS), 'book', 'hub', 'frame', 'settings'];

/** Whose texts a folder uses where it has none of its own name. */
const TEXTS_OF = { 'hub/dav': 'sync', 'hub/api': 'hub', 'hub/access': 'hub' };

/** The place around all others, which may import them. */
const FRAME = 'src/places/frame';

/** Folders of formats: none imports another. */
const FORMAT = /^src\/core\/formats\/(vcard|jcard|jscontact|csv|icalendar)\//;

/** Packages that would tie the core to a browser, to Node or to React. */
const IMPURE = /^(node:|react|expo|express|@reduxjs)/;

function domainsBut(...left) {
  return Object.keys(DOMAINS).filter((domain) => !left.includes(domain));
}

/**
 * @param {ReadonlyMap<string, string>} files - path from the project's folder, such as src/core/card/row.ts → its text
 * @returns {{ file: string, line: number, rule: string, message: string }[]} sorted by file
 */
function checkImports(files) {
  const modules = new Map();
  for (const [file, text] of files)
    if (/^src\/.*\.tsx?$/.test(file) && !isTest(file)) modules.set(file, readModule(file, text));
  const links = [];
  const problems = [];
  for (const module of modules.values()) {
    for (const one of module.imports) {
      const problem = (rule, message) => problems.push({ file: module.file, line: one.line, rule, message });
      const target = resolve(modules, module.file, one.source);
      if (!target) {
        if (module.file.startsWith('src/core/') && IMPURE.test(one.source))
          problem('pure', `core is pure: ${one.source}`);
        continue;
      }
      if (!isIndex(module.file)) checkDoor(module.file, one.source, target, problem);
      const declared =
        one.names.length > 0 ? one.names.map((name) => declaringFile(modules, target, name)) : [target];
      for (const to of new Set(declared)) {
        if (to === module.file) continue;
        checkDirection(module.file, to, problem);
        if (!isIndex(module.file)) links.push({ from: module.file, to });
      }
    }
    checkFolder(module, (rule, message) => problems.push({ file: module.file, line: 1, rule, message }));
  }
  const cycle = (rule) => (path) =>
    problems.push({ file: path[0], line: 1, rule, message: path.join(' → ') });
  cyclesOf(links).forEach(cycle('no cycle of files'));
  const between = links.map(({ from, to }) => ({ from: posix.dirname(from), to: posix.dirname(to) }));
  cyclesOf(between.filter(({ from, to }) => from !== to)).forEach(cycle('no cycle of folders'));
  const units = links.map(({ from, to }) => ({ from: unitOf(from), to: unitOf(to) }));
  cyclesOf(units.filter(({ from, to }) => from !== to)).forEach(cycle('no cycle of domains'));
  return problems.sort((a, b) => (a.file < b.file ? -1 : 1));
}

/** Another domain is entered by its index, and by the alias; one's own files are imported by their paths. */
function checkDoor(from, source, target, problem) {
  const isOwn = unitOf(from) === unitOf(target);
  const [, layer] = target.split('/');
  if (isOwn && source.startsWith('@/') && FOLDERS[layer])
    problem('own files by path', `${source} lies in the same folder`);
  if (isOwn || !FOLDERS[layer] || target.split('/').length < 4) return;
  if (!isIndex(target))
    problem('through the index', `import ${unitOf(target).replace('src/', '@/')}, not a file in it`);
  else if (!source.startsWith('@/'))
    problem('through the index', `import ${unitOf(target).replace('src/', '@/')} by that name`);
}

/** Layers lean on the layers below, domains of the core on the domains below, places and formats on none of their kind. */
function checkDirection(from, to, problem) {
  const [, layer, domain] = from.split('/');
  const [, otherLayer, otherDomain] = to.split('/');
  if (otherLayer === 'texts' && layer !== 'texts') {
    if (!textsOf(from).includes(otherDomain))
      problem('own texts', `${posix.dirname(from)} has its texts in src/texts/${textsOf(from)[0]}`);
    return;
  }
  if (layer !== otherLayer) {
    if (!LAYERS[layer]?.includes(otherLayer)) problem('layers', `${layer} may not import ${otherLayer}`);
    return;
  }
  if (layer === 'core' && domain !== otherDomain && !DOMAINS[domain]?.includes(otherDomain))
    problem('domains', `core/${domain} may not import core/${otherDomain}`);
  if (layer === 'places' && domain !== otherDomain && !from.startsWith(`${FRAME}/`))
    problem('places', `a place may not import another (places/${otherDomain})`);
  const [format, other] = [FORMAT.exec(from)?.[1], FORMAT.exec(to)?.[1]];
  if (format && other && format !== other) problem('formats', `a format may not import another (${other})`);
}

/** The folders of texts that a file may use: its domain's and those that all share. Pages of the router may use any. */
function textsOf(file) {
  const [, layer, domain] = file.split('/');
  const shared = ['base', 'plural.ts'];
  if (layer === 'app' || file.startsWith(`${FRAME}/`)) return ['frame', ...TEXT_FOLDERS, ...shared];
  const own = TEXTS_OF[`${layer}/${domain}`] ?? (TEXT_FOLDERS.includes(domain) ? domain : layer);
  return [own, ...shared];
}

/** Every folder is one of the tables above, every index a list with a head that says what the folder is. */
function checkFolder({ file, text, declares }, problem) {
  const parts = file.split('/');
  if (!LAYERS[parts[1]]) problem('known folder', `${parts[1]} is no layer`);
  if (parts[1] === 'texts' && parts.length > 3 && !TEXT_FOLDERS.includes(parts[2]))
    problem('known folder', `${parts[2]} is no domain`);
  if (FOLDERS[parts[1]] && parts.length > 3 && !FOLDERS[parts[1]].includes(parts[2]))
    problem('known folder', `${parts[2]} is no domain of ${parts[1]}`);
  if (!isIndex(file) || !FOLDERS[parts[1]] || parts.length !== 4) return;
  if (!text.startsWith('/**')) problem('index', 'an index begins by saying what the folder is');
  if (declares) problem('index', 'an index declares nothing of its own');
}

/** The folder of a domain, or the layer where it isn't laid out by domain. */
function unitOf(file) {
  const parts = file.split('/');
  return FOLDERS[parts[1]] && parts.length > 3 ? parts.slice(0, 3).join('/') : parts.slice(0, 2).join('/');
}

function isTest(file) {
  return /\.test\.tsx?$|(^|\/)testing\.ts$|\.d\.ts$/.test(file);
}

function isIndex(file) {
  return file.endsWith('/index.ts');
}

/** Files as they were read last: whoever checks again after a change reads only what has changed. */
const lastRead = new Map();

/** What a file imports and re-exports, and whether it declares anything. */
function readModule(file, text) {
  const known = lastRead.get(file);
  if (known?.text === text) return known;
  const module = parseModule(file, text);
  lastRead.set(file, module);
  return module;
}

function parseModule(file, text) {
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, false);
  const imports = [];
  const exported = new Map();
  const stars = [];
  let declares = false;
  for (const statement of source.statements) {
    const specifier = statement.moduleSpecifier?.text;
    const line = source.getLineAndCharacterOfPosition(statement.pos).line + 1;
    if (ts.isImportDeclaration(statement)) {
      const bindings = statement.importClause?.namedBindings;
      const names = bindings && ts.isNamedImports(bindings) ? bindings.elements.map(nameOf) : [];
      imports.push({ source: specifier, line, names });
    } else if (ts.isExportDeclaration(statement) && specifier !== undefined) {
      const clause = statement.exportClause;
      const elements = clause && ts.isNamedExports(clause) ? clause.elements : [];
      imports.push({ source: specifier, line, names: elements.map(nameOf) });
      for (const element of elements)
        exported.set(element.name.text, { source: specifier, name: nameOf(element) });
      if (!clause) stars.push(specifier);
    } else declares = true;
  }
  for (const [, called] of text.matchAll(/\bimport\('([^']+)'\)/g))
    imports.push({ source: called, line: 1, names: [] });
  return { file, text, imports, exported, stars, declares };
}

function nameOf({ propertyName, name }) {
  return (propertyName ?? name).text;
}

function resolve(modules, from, source) {
  const base = source.startsWith('@/')
    ? `src/${source.slice(2)}`
    : source.startsWith('.')
      ? posix.join(posix.dirname(from), source)
      : undefined;
  if (base === undefined) return undefined;
  return ['.ts', '.tsx', '/index.ts', '/index.tsx', '']
    .map((end) => base + end)
    .find((file) => modules.has(file));
}

/** The file that declares a name which a module gives, however many indexes lie between. */
function declaringFile(modules, file, name) {
  const { exported, stars } = modules.get(file);
  const passed = exported.get(name);
  if (passed) {
    const target = resolve(modules, file, passed.source);
    return target ? declaringFile(modules, target, passed.name) : file;
  }
  for (const star of stars) {
    const target = resolve(modules, file, star);
    if (target && hasName(modules, target, name)) return declaringFile(modules, target, name);
  }
  return file;
}

function hasName(modules, file, name) {
  const { exported, text } = modules.get(file);
  return exported.has(name) || new RegExp(`\\bexport [^;{]*\\b${name}\\b`).test(text);
}

/** One way round for each knot of nodes that can all be reached from each other (Tarjan 1972). */
function cyclesOf(links) {
  const next = new Map();
  for (const { from, to } of links) next.set(from, (next.get(from) ?? new Set()).add(to));
  const index = new Map();
  const low = new Map();
  const stack = [];
  const found = [];
  const visit = (node) => {
    index.set(node, index.size);
    low.set(node, index.get(node));
    stack.push(node);
    for (const to of next.get(node) ?? []) {
      if (!index.has(to)) visit(to);
      if (stack.includes(to)) low.set(node, Math.min(low.get(node), low.get(to)));
    }
    if (low.get(node) !== index.get(node)) return;
    const knot = stack.splice(stack.indexOf(node));
    if (knot.length > 1) found.push(wayRound(next, knot));
  };
  for (const node of next.keys()) if (!index.has(node)) visit(node);
  return found;
}

function wayRound(next, knot) {
  const [start] = knot;
  const path = [start];
  const seen = new Set(path);
  const walk = (node) => {
    for (const to of next.get(node) ?? []) {
      if (to === start) return true;
      if (!knot.includes(to) || seen.has(to)) continue;
      seen.add(to);
      path.push(to);
      if (walk(to)) return true;
      path.pop();
    }
    return false;
  };
  walk(start);
  return [...path, start];
}

/**
 * The files that have to be tried again when some have changed: these, and all that import them, over however many files
 * in between. Looks through indexes, so that a file of a domain doesn't stand for the whole domain.
 *
 * @param {ReadonlyMap<string, string>} files - path from the project's folder → text; tests among them
 * @param {readonly string[]} changed - paths
 * @returns {string[]} paths
 */
function dependentsOf(files, changed) {
  const modules = new Map([...files].map(([file, text]) => [file, readModule(file, text)]));
  const importers = new Map();
  for (const module of modules.values()) {
    if (isIndex(module.file)) continue;
    for (const one of module.imports) {
      const target = resolve(modules, module.file, one.source);
      if (!target) continue;
      const declared =
        one.names.length > 0 ? one.names.map((name) => declaringFile(modules, target, name)) : [target];
      for (const file of declared) importers.set(file, (importers.get(file) ?? new Set()).add(module.file));
    }
  }
  const found = new Set(changed);
  for (const file of found) for (const importer of importers.get(file) ?? []) found.add(importer);
  return [...found].filter((file) => files.has(file));
}

module.exports = { checkImports, dependentsOf };
