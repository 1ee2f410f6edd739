import type { Standard } from './standard';
import { templates } from './templates';

/** The shipped standard with this id, or undefined. */
export function findTemplate(id: string): Standard | undefined {
  return templates.find((standard) => standard.id === id);
}
