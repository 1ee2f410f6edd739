/** Writes the list of the standards that ship: one for each file of their folder. */
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { templatesText } from '../packages/core/src/marking/testing-templates';

const folder = 'packages/core/src/marking/templates';
const list = `${folder}.ts`;

writeFileSync(list, templatesText(readFileSync(list, 'utf8'), readdirSync(folder)));
