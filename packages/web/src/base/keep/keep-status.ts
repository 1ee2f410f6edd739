import { external } from '../external';

/** How far this device is with what driving without a network takes. */
export type KeepStatus =
  | { readonly state: 'unknown' | 'keeping' }
  /** `at`: wall clock of this device, in milliseconds. */
  | { readonly state: 'ready'; readonly at: number }
  | { readonly state: 'incomplete' };

export const keepStatus = external<KeepStatus>({ state: 'unknown' });
