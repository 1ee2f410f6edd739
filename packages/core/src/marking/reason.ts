import type { Mark } from '../drive/drive';
import type { Limit } from './standard';

/** A limit that was crossed: which, by which marks, and when. */
export interface Reason {
  readonly limit: Limit;
  readonly scope: string;
  readonly used: number;
  /** Empty where time, attempts or the like crossed it. */
  readonly marks: readonly Mark[];
  /** The mark that crossed it, where one did. */
  readonly crossedBy?: Mark | undefined;
  /** In milliseconds of the drive's clock. */
  readonly crossedAtMs: number;
}
