/** Writes the JSON Schemas of the open formats to docs/formats. */
import { writeFileSync } from 'node:fs';
import { driveRecordSchema } from '../packages/core/src/formats/drive-record-schema';
import { schoolFiguresSchema } from '../packages/core/src/formats/school-figures-file';
import { standardFileSchema } from '../packages/core/src/formats/standard-schema';

const schemas = {
  'drive-record': driveRecordSchema,
  'school-figures': schoolFiguresSchema,
  standard: standardFileSchema,
};

for (const [name, schema] of Object.entries(schemas))
  writeFileSync(`docs/formats/${name}.schema.json`, `${JSON.stringify(schema, null, 2)}\n`);
