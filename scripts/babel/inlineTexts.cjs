const { readFileSync } = require('node:fs');
const { join, resolve, sep } = require('node:path');

const TEXTS = resolve(__dirname, '../../src/texts');
const CATALOGUE = /^@\/texts\/(\w+\/\w+)$/;

/**
 * A Babel plugin for the build: a plain text of the catalogue is written where it is used, and left out of the catalogue.
 *
 * A catalogue is one object, which Metro bundles whole; with this a page carries the texts it shows. Texts with a number
 * or a name in them are functions, and stay.
 */
module.exports = function inlineTexts({ types: t, parseSync }) {
  const known = new Map();

  /** The plain texts of a catalogue: key → text. */
  function plainTexts(name) {
    const before = known.get(name);
    if (before) return before;
    const file = join(TEXTS, `${name}.ts`);
    const options = {
      babelrc: false,
      configFile: false,
      filename: file,
      parserOpts: { plugins: ['typescript'] },
    };
    const texts = new Map();
    for (const statement of parseSync(readFileSync(file, 'utf8'), options).program.body)
      for (const property of propertiesOf(statement))
        if (property.value.type === 'StringLiteral') texts.set(property.key.name, property.value.value);
    known.set(name, texts);
    return texts;
  }

  function propertiesOf(statement) {
    const declared = statement.declaration?.declarations?.[0];
    return declared?.id.name === 'texts' ? declared.init.properties : [];
  }

  function inlineInto(program) {
    for (const path of program.get('body')) {
      const [, name] = path.isImportDeclaration() ? (CATALOGUE.exec(path.node.source.value) ?? []) : [];
      if (name === undefined) continue;
      const texts = plainTexts(name);
      const { referencePaths } = program.scope.getBinding(path.node.specifiers[0].local.name);
      let left = 0;
      for (const { parentPath, key } of referencePaths) {
        if (!parentPath.isMemberExpression({ computed: false }) || key !== 'object')
          throw parentPath.buildCodeFrameError('a catalogue of texts is used by its keys only');
        const text = texts.get(parentPath.node.property.name);
        if (text === undefined) left += 1;
        else parentPath.replaceWith(t.stringLiteral(text));
      }
      if (left === 0) path.remove();
    }
  }

  function dropPlain(program) {
    for (const path of program.get('body')) {
      const properties = propertiesOf(path.node);
      if (properties.length > 0)
        path.node.declaration.declarations[0].init.properties = properties.filter(
          ({ value }) => value.type !== 'StringLiteral',
        );
    }
  }

  return {
    name: 'inline-texts',
    visitor: {
      Program: {
        enter(program, { filename }) {
          if (filename?.startsWith(TEXTS + sep)) dropPlain(program);
          else inlineInto(program);
        },
      },
    },
  };
};
