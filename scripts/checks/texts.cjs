// Checks that what the reader sees is written in src/texts, where the wording is read as a whole, and nowhere in a screen.
const ts = require('typescript');

/** Where screens and their parts are. */
const SCREENS = /^src\/(places|ui|app)\/.*\.tsx$/;

/** What is read or heard of an element, among its attributes. */
const READ =
  /^(label|title|hint|placeholder|text|error|message|why|doing|detail|aria-label|aria-description|aria-valuetext|accessibilityLabel|alt)$/;

/**
 * @param {ReadonlyMap<string, string>} files - path from the project's folder → text
 * @returns {{ file: string, line: number, rule: string, message: string }[]}
 */
function checkTexts(files) {
  const problems = [];
  for (const [file, text] of files) {
    if (!SCREENS.test(file) || /\.test\.tsx$/.test(file)) continue;
    const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true, ts.ScriptKind.TSX);
    const report = (node, said) =>
      problems.push({
        file,
        line: source.getLineAndCharacterOfPosition(node.getStart(source)).line + 1,
        rule: 'texts',
        message: `"${said.trim()}" belongs into src/texts`,
      });
    const visit = (node) => {
      if (ts.isJsxText(node) && hasWord(node.text)) report(node, node.text);
      if (ts.isJsxAttribute(node) && READ.test(node.name.getText(source)))
        for (const said of literalsOf(node.initializer)) report(node, said);
      if (ts.isJsxExpression(node) && !ts.isJsxAttribute(node.parent))
        for (const said of literalsOf(node)) report(node, said);
      ts.forEachChild(node, visit);
    };
    visit(source);
  }
  return problems;
}

/** The texts an expression may give, as far as they are written in it: both sides of a choice, parts of a template. */
function literalsOf(node) {
  if (!node) return [];
  if (ts.isJsxExpression(node) || ts.isParenthesizedExpression(node)) return literalsOf(node.expression);
  if (ts.isConditionalExpression(node)) return [...literalsOf(node.whenTrue), ...literalsOf(node.whenFalse)];
  if (ts.isBinaryExpression(node) && node.operatorToken.kind !== ts.SyntaxKind.EqualsEqualsEqualsToken)
    return [...literalsOf(node.left), ...literalsOf(node.right)];
  const said = ts.isTemplateExpression(node)
    ? [node.head.text, ...node.templateSpans.map(({ literal }) => literal.text)].join(' ')
    : ts.isStringLiteralLike(node)
      ? node.text
      : '';
  return hasWord(said) ? [said] : [];
}

function hasWord(said) {
  return /\p{L}{2}/u.test(said);
}

module.exports = { checkTexts };
