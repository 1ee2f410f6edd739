import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import ts from 'typescript';

const rooms = ['roads', 'motion', 'core', 'contract', 'server'];

/** Where texts are data: of the trade, of a format, of a school. What is written there is content, not interface. */
const data = [
  /^core\/src\/catalogue\//,
  /^core\/src\/marking\/(templates\/|template-parts\/|earlier\/|blank\.ts|provenance\.ts)/,
  /^core\/src\/safety-questions\//,
  /^roads\/src\/road-tags\.ts$/,
  // Figures of a view, by their ids.
  /^motion\/src\/sight\//,
];
/** What people who write programs and files read: published schemas, and what is wrong with a file at which place. */
const formats = [/-schema\.ts$/, /^core\/src\/formats\//, /^motion\/src\/(read-spec|layout\/read-layout)\.ts$/];
/** What the person who runs the server reads: at the terminal, in the log, at an address without an application. */
const operating = [
  /^server\/src\/(db\/|last-line\.ts|serve\.ts|main\.ts|app\.ts|config\.ts|http\/pages\.ts|accounts\/recover\.ts)/,
];

/** Texts of three words and more that are no error of a programmer, no log and no piece of a query. */
function sentencesIn(file: string): readonly string[] {
  const source = ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest, true);
  const found: string[] = [];
  const visit = (node: ts.Node): void => {
    if (ts.isNewExpression(node) && /Error$/.test(node.expression.getText())) return;
    if (ts.isCallExpression(node) && /\blog\.\w+$|^sql\b/.test(node.expression.getText())) return;
    if (ts.isTaggedTemplateExpression(node) || ts.isImportDeclaration(node) || ts.isLiteralTypeNode(node)) return;
    if (ts.isStringLiteralLike(node) || ts.isTemplateExpression(node)) {
      const text = node
        .getText()
        .slice(1, -1)
        .replaceAll(/\$\{[^}]*\}/g, 'x');
      if (/[a-z]{2,} [a-z]+ [a-z]+/.test(text) && !/ as \w+$/.test(text)) found.push(text);
    } else ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

it('what computes holds no sentence: it gives codes and values', () => {
  const found = rooms.flatMap((room) =>
    readdirSync(path.join('packages', room, 'src'), { recursive: true, encoding: 'utf8' })
      .map((name) => `${room}/src/${name}`)
      .filter((name) => name.endsWith('.ts') && !/\.test\.ts$|\/testing|\/migrations\//.test(name))
      .filter((name) => ![...data, ...formats, ...operating].some((one) => one.test(name)))
      .flatMap((name) => sentencesIn(path.join('packages', name)).map((text) => `${name}: ${text}`)),
  );
  expect(found).toEqual([]);
});
