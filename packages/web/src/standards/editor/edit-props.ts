import type { Change } from '@jasperwren/core/marking/edit/change';
import type { Standard } from '@jasperwren/core/marking/standard';

/** What every part of the editor works with. */
export interface EditProps {
  readonly standard: Standard;
  readonly change: (change: Change) => void;
}
