import type { Migration } from 'kysely';
import { keeping } from './keeping';
import { learning } from './learning';
import { marking } from './marking';
import { people } from './people';
import { roads } from './roads';
import { yard } from './yard';

/** Every migration by its name, which begins with its place in the order. One that has shipped never changes. */
export const migrations: Readonly<Record<string, Migration>> = {
  ...marking,
  ...learning,
  ...people,
  ...roads,
  ...yard,
  ...keeping,
};
