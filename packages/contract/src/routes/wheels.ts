import { del, get, post } from '../route';
import type { KeptInput, KeptView } from '../wheels';

/** Where the wheels go: vehicles, grounds and questions that a school keeps. */
export const wheelsRoutes = {
  keptWheels: get('/api/wheels/kept', 'staff', { reads: ['wheels'] }).answers<readonly KeptView[]>(),
  keepWheels: post('/api/wheels/kept', 'staff', { changes: ['wheels'] })
    .takes<KeptInput>()
    .answers<KeptView>(201),
  dropWheels: del('/api/wheels/kept/:keptId', 'staff', { changes: ['wheels'] }).done(),
} as const;
