import { tally } from '../marking/testing-standards';
import { wholeTest, type Evidence } from './evidence';

/** A clean test of forty minutes on strange roads at a moment (RFC 3339), with what a test of the code says besides. */
export const cleanDrive = (at: string, more: Partial<Evidence> = {}): Evidence => ({
  ...wholeTest(tally, at, {}),
  ...more,
});
