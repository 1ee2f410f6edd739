import { join } from 'node:path';

/** Where files that were sent wait until they are read. */
export const uploadsIn = (dataDir: string): string => join(dataDir, 'uploads');
