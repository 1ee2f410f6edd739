import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import ts from 'typescript';

const here = path.join(process.cwd(), 'packages/words/src');
const files = ['', 'marking', 'roads'].flatMap((folder) =>
  readdirSync(path.join(here, folder))
    .filter((name) => name.endsWith('.ts') && !name.endsWith('.test.ts'))
    .map((name) => path.join(here, folder, name)),
);

/** Every sentence with its key, read from the `resource` of each file. */
function sentencesOf(file: string): readonly { readonly key: string; readonly text: string }[] {
  const source = ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest, true);
  const found: { key: string; text: string }[] = [];
  const visit = (node: ts.Node): void => {
    if (ts.isVariableDeclaration(node) && node.name.getText() === 'resource')
      ts.forEachChild(node, function inside(child) {
        if (ts.isPropertyAssignment(child) && ts.isStringLiteralLike(child.initializer)) {
          const name = child.name;
          found.push({ key: ts.isStringLiteral(name) ? name.text : name.getText(), text: child.initializer.text });
        } else ts.forEachChild(child, inside);
      });
    else ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

const all = files.flatMap((file) => sentencesOf(file).map((one) => ({ ...one, file: path.relative(here, file) })));

/** What the product never says: each of these has a word of the trade in its place. */
const never = [
  /\bverdicts?\b/,
  /\bstruck\b|\bstrike (it|the|with)/,
  /\bsettle/,
  /talk(ed)? (it )?through|talk-through/,
  /\bbrok(e|en) off\b|\bbreak(s)? off\b/,
  /\bpupils?\b|who drives/,
  /\b(some|no|any|every)body\b|\bwhoever\b/,
  /on record|off the record|\bsheets?\b|real tests?\b/,
  /\bhouse default/,
  /adds? up|fails? at once/,
  /\bgraver?\b|how bad/,
  /\bbesides?\b/,
  /drop(ped)? (the|a) pin|pins? dropped/,
  /marked twice|two faults/,
  /tak(e|en) back|put back|gave back/,
  /\bran out\b|holds (for|until)/,
  /contradict/,
  /\bentr(y|ies)\b/,
  /bring in\b|as a file/,
  /clock stands|its clock/,
  /schools? of marking/,
  /\bguided\b/,
  /\b(the|a|this|one|last|no|each) drives?\b(?! to)/,
  /\b(the|a|this|no|without a|last) marks?\b/,
  /the server (cannot|can)/,
  /critical point|must be there/,
  /in the driving seat|at rest\b|on the move\b/,
  /test days? (of|would)/,
];

describe('the sentences of the product', () => {
  it('are some thousand, in every file that holds words', () => {
    expect(all.length).toBeGreaterThan(1200);
  });

  it('say nothing of what the glossary forbids', () => {
    const said = all.flatMap(({ file, key, text }) =>
      never
        .filter((words) => words.test(text.toLowerCase()))
        .map((words) => `${file} ${key}: ${text} (${words.source})`),
    );
    expect(said).toEqual([]);
  });

  it('have a form for one wherever they have one for several', () => {
    const keys = new Set(all.map(({ file, key }) => `${file} ${key}`));
    const alone = [...keys].filter(
      (key) =>
        (key.endsWith('_one') && !keys.has(key.replace(/_one$/, '_other'))) ||
        (key.endsWith('_other') && !keys.has(key.replace(/_other$/, '_one'))),
    );
    expect(alone).toEqual([]);
  });

  it('are all used, and none is used that is not there', () => {
    const used = usedKeys();
    const unused = all.flatMap(({ file, key }) => {
      const base = key.replace(/_(one|other)$/, '');
      return used.get(file)?.has(base) ? [] : [`${file} ${key}`];
    });
    expect(unused).toEqual([]);
  });
});

/** The keys that are asked for, by the file that holds them: what the types of all calls allow. */
function usedKeys(): ReadonlyMap<string, ReadonlySet<string>> {
  const config = ts.getParsedCommandLineOfConfigFile(
    path.join(process.cwd(), 'tsconfig.json'),
    {},
    {
      ...ts.sys,
      onUnRecoverableConfigFileDiagnostic: ({ messageText }) => {
        throw new Error(ts.flattenDiagnosticMessageText(messageText, ' '));
      },
    },
  )!;
  const roots = config.fileNames.filter(
    (name) => /packages\/(words|contract|web|server|cli)\/src/.test(name) && !/\.test\./.test(name),
  );
  const program = ts.createProgram(roots, config.options);
  const checker = program.getTypeChecker();
  const used = new Map<string, Set<string>>();
  for (const source of program.getSourceFiles()) {
    if (
      source.fileName.includes('node_modules') ||
      !/packages\/(words|contract|web|server|cli)\/src/.test(source.fileName)
    )
      continue;
    const visit = (node: ts.Node): void => {
      if (ts.isCallExpression(node) && ts.isIdentifier(node.expression) && node.arguments[0]) {
        const file = resourceFileOf(checker, node.expression);
        if (file !== undefined) {
          const keys = used.get(file) ?? new Set();
          used.set(file, keys);
          for (const key of literalsOf(checker.getTypeAtLocation(node.arguments[0]))) keys.add(key);
        }
      }
      ts.forEachChild(node, visit);
    };
    visit(source);
  }
  return used;
}

/** The file whose resource a function gives sentences of; undefined for any other function. */
function resourceFileOf(checker: ts.TypeChecker, name: ts.Identifier): string | undefined {
  let symbol = checker.getSymbolAtLocation(name);
  if (symbol && symbol.flags & ts.SymbolFlags.Alias) symbol = checker.getAliasedSymbol(symbol);
  const declared = symbol?.valueDeclaration;
  if (!declared || !ts.isVariableDeclaration(declared) || !declared.initializer) return undefined;
  const made = declared.initializer;
  if (!ts.isCallExpression(made) || made.expression.getText() !== 'wordsOf') return undefined;
  return path.relative(here, declared.getSourceFile().fileName);
}

function literalsOf(type: ts.Type): readonly string[] {
  if (type.isUnion()) return type.types.flatMap(literalsOf);
  return type.isStringLiteral() ? [type.value] : [];
}
