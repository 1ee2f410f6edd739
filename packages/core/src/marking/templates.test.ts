import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { templates } from './templates';
import { templatesText } from './testing-templates';

it('ship from every file of their folder', () => {
  const text = readFileSync(join(__dirname, 'templates.ts'), 'utf8');
  expect(templatesText(text, readdirSync(join(__dirname, 'templates')))).toBe(text);
});

it('keep their order where a file comes or goes, and take a new one in at the end', () => {
  const text = templatesText('[\n  tally,\n  oldOne,\n  graded,\n]', ['bridge-test.ts', 'graded.ts', 'tally.ts']);
  expect(text).toContain("import { bridgeTest } from './templates/bridge-test';\n");
  expect(text).toContain('[\n  tally,\n  graded,\n  bridgeTest,\n];\n');
  expect(text).not.toContain('oldOne');
});

it('are told apart by their ids, the first being the one a new learner is offered', () => {
  expect(new Set(templates.map(({ id }) => id)).size).toBe(templates.length);
  expect(templates[0]!.id).toBe('tally');
});
