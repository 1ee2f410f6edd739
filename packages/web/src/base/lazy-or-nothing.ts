import { lazy, type ComponentType } from 'react';

/**
 * A part that arrives after its page, or not at all where the network is gone and the browser does not have it: the page goes on
 * without it.
 */
// eslint-disable-next-line @typescript-eslint/no-explicit-any -- the properties are those of the part
export const lazyOrNothing = <T extends ComponentType<any>>(load: () => Promise<{ readonly default: T }>) =>
  lazy(() => load().catch(() => ({ default: (() => null) as unknown as T })));
