/** Writes the columns of the tables, as the migrations leave them, for the compiler. */
import { writeFileSync } from 'node:fs';
import { columnsText } from '../packages/server/src/db/testing-columns';

writeFileSync('packages/server/src/db/columns.ts', await columnsText());
