const { existsSync, readFileSync } = require('node:fs');
const { dirname, isAbsolute, join, relative, resolve } = require('node:path');

const SRC = resolve(__dirname, '../../src');

/**
 * A Babel plugin for the build: an import from the index of a folder becomes an import from the files that the index names.
 *
 * Metro bundles every file that is imported, whatever is used of it, and an index names every file of its domain. With
 * this a page carries the files it uses, and folders can follow the subject instead of the size of bundles. Indexes do
 * nothing but re-export, so leaving them out changes nothing else.
 */
module.exports = function importFromFiles({ types: t, parseSync }) {
  const faces = new Map();

  /** Where each name of a module is declared: exported name → { file, name }. */
  function faceOf(file) {
    const known = faces.get(file);
    if (known) return known;
    const face = new Map();
    faces.set(file, face);
    const options = {
      babelrc: false,
      configFile: false,
      filename: file,
      parserOpts: { plugins: ['typescript', 'jsx'] },
    };
    for (const statement of parseSync(readFileSync(file, 'utf8'), options).program.body) {
      if (statement.type === 'ExportAllDeclaration') {
        const target = resolveFile(file, statement.source.value);
        if (target) for (const [name, place] of faceOf(target)) face.set(name, place);
      }
      if (statement.type !== 'ExportNamedDeclaration') continue;
      const target = statement.source && resolveFile(file, statement.source.value);
      for (const { local, exported } of statement.specifiers ?? []) {
        if (!statement.source) face.set(exported.name, { file, name: exported.name });
        else if (!target) face.set(exported.name, { file: statement.source.value, name: local.name });
        else face.set(exported.name, faceOf(target).get(local.name) ?? { file: target, name: local.name });
      }
      for (const name of declaredNames(statement.declaration)) face.set(name, { file, name });
    }
    return face;
  }

  function declaredNames(declaration) {
    if (!declaration) return [];
    if (declaration.type === 'VariableDeclaration') return Object.keys(t.getBindingIdentifiers(declaration));
    return declaration.id ? [declaration.id.name] : [];
  }

  /** The index behind an import, where it is one of ours. */
  function indexOf(path, state) {
    const { node } = path;
    if (!node.source || node.importKind === 'type' || node.exportKind === 'type') return undefined;
    const file = resolveFile(state.filename, node.source.value);
    return file && /[\\/]index\.ts$/.test(file) ? file : undefined;
  }

  function importDeclaration(path, state) {
    const index = indexOf(path, state);
    if (!index || path.node.specifiers.length === 0) return;
    const face = faceOf(index);
    const declarations = [];
    for (const specifier of path.node.specifiers) {
      if (specifier.type !== 'ImportSpecifier' || specifier.importKind === 'type') return;
      const place = face.get(specifier.imported.name);
      if (!place) throw path.buildCodeFrameError(`${index} does not export ${specifier.imported.name}`);
      // Icons come from a package by their default export.
      const made =
        place.name === 'default'
          ? t.importDefaultSpecifier(specifier.local)
          : t.importSpecifier(specifier.local, t.identifier(place.name));
      declarations.push(t.importDeclaration([made], t.stringLiteral(sourceOf(state.filename, place.file))));
    }
    path.replaceWithMultiple(declarations);
  }

  function exportDeclaration(path, state) {
    const index = indexOf(path, state);
    if (!index) return;
    const face = faceOf(index);
    path.replaceWithMultiple(
      path.node.specifiers.map((specifier) => {
        const place = face.get(specifier.local.name);
        if (!place) throw path.buildCodeFrameError(`${index} does not export ${specifier.local.name}`);
        const made = t.exportSpecifier(t.identifier(place.name), specifier.exported);
        return t.exportNamedDeclaration(null, [made], t.stringLiteral(sourceOf(state.filename, place.file)));
      }),
    );
  }

  return {
    name: 'import-from-files',
    visitor: {
      // Before the other plugins see the imports; types are gone by then only where they are marked as such.
      Program: {
        enter(program, state) {
          if (!state.filename?.startsWith(SRC) || /[\\/]index\.ts$/.test(state.filename)) return;
          dropTypes(program);
          program.traverse({
            ImportDeclaration: (path) => importDeclaration(path, state),
            ExportNamedDeclaration: (path) => exportDeclaration(path, state),
          });
          program.scope.crawl();
        },
      },
    },
  };

  /** Specifiers marked as types name nothing that exists when the program runs. */
  function dropTypes(program) {
    for (const path of program.get('body')) {
      if (!path.isImportDeclaration() && !path.isExportNamedDeclaration()) continue;
      const { node } = path;
      if (!node.source || node.specifiers.length === 0) continue;
      const isType = ({ importKind, exportKind }) => importKind === 'type' || exportKind === 'type';
      node.specifiers = node.specifiers.filter((specifier) => !isType(specifier));
      if (node.specifiers.length === 0) path.remove();
    }
  }
};

/** How a file imports another one, which is the name of a package where it comes from one. */
function sourceOf(from, target) {
  if (!isAbsolute(target)) return target;
  const path = relative(dirname(from), target).replaceAll('\\', '/');
  return path.startsWith('.') ? path : `./${path}`;
}

/** The file that an import of ours names; undefined for packages, and for what isn't TypeScript. */
function resolveFile(from, source) {
  const base = source.startsWith('@/')
    ? join(SRC, source.slice(2))
    : source.startsWith('.')
      ? join(dirname(from), source)
      : undefined;
  if (base === undefined) return undefined;
  const endings = ['.ts', '.tsx', '/index.ts', '/index.tsx'];
  return endings.map((ending) => base + ending).find((file) => existsSync(file));
}
