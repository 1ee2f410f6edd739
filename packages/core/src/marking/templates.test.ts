import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { templates } from './templates';
import { templatesText } from './testing-templates';

it('ship from every file of their folder', () => {
  expect(readFileSync(join(__dirname, 'templates.ts'), 'utf8')).toBe(templatesText(__dirname));
});

it('are told apart by their ids, the first being the one a new learner is offered', () => {
  expect(new Set(templates.map(({ id }) => id)).size).toBe(templates.length);
  expect(templates[0]!.id).toBe('tally');
});
