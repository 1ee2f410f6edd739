/** Writes the list of the standards that ship: one for each file of their folder. */
import { writeFileSync } from 'node:fs';
import { templatesText } from '../packages/core/src/marking/testing-templates';

const marking = 'packages/core/src/marking';

writeFileSync(`${marking}/templates.ts`, templatesText(marking));
