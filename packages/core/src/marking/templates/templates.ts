import type { Standard } from '../standard';
import { tally } from './tally';

/** The standards the product ships, each a file of data. */
export const templates: readonly Standard[] = [tally];

/** The shipped standard with this id, or undefined. */
export function findTemplate(id: string): Standard | undefined {
  return templates.find((standard) => standard.id === id);
}
