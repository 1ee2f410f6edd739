import type { Mark } from '../drive/drive';
import type { Slot } from './rules';

/** A limit that was crossed: which, by which marks, and when. */
export interface Reason extends Slot {
  readonly used: number;
  /** Empty where time, attempts or the like crossed it. */
  readonly marks: readonly Mark[];
  /** The mark that crossed it, where one did. */
  readonly crossedBy?: Mark | undefined;
  /** In milliseconds of the drive's clock. */
  readonly crossedAtMs: number;
}
