import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { makeIsland } from './make-island';

const file = join(import.meta.dirname, '..', 'tarnavel.osm');
writeFileSync(file, makeIsland());
process.stdout.write(`The roads of the island stand in ${file}.\n`);
