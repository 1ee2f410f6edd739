/** Writes the JSON Schemas of the open formats to docs/formats. */
import { writeFileSync } from 'node:fs';
import { driveRecordSchema } from '../packages/core/src/formats/drive-record-schema';

writeFileSync('docs/formats/drive-record.schema.json', `${JSON.stringify(driveRecordSchema, null, 2)}\n`);
