/** How far this device is with what driving without a network takes. */
export type KeepStatus =
  | { readonly state: 'unknown' | 'keeping' }
  /** `at`: wall clock of this device, in milliseconds. */
  | { readonly state: 'ready'; readonly at: number }
  | { readonly state: 'incomplete' };

let status: KeepStatus = { state: 'unknown' };
const listeners = new Set<() => void>();

/** For React's external store. */
export const keepStatus = {
  subscribe: (listener: () => void) => {
    listeners.add(listener);
    return () => void listeners.delete(listener);
  },
  now: () => status,
  set: (to: KeepStatus) => {
    status = to;
    listeners.forEach((listener) => listener());
  },
};
