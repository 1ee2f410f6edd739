import type { usualReasons } from './event-kinds';

export type UsualReason = (typeof usualReasons)[number];

/** Why something was done: one of the usual reasons, or somebody's own words. */
export type Why = { readonly because: UsualReason } | { readonly reason: string };

/** The reason an event gives; older logs have the usual ones in words. */
export function whyOf({
  because,
  reason,
}: {
  readonly because?: UsualReason | undefined;
  readonly reason?: string | undefined;
}): Why | undefined {
  if (because) return { because };
  return reason ? { reason } : undefined;
}

/** A reason for a table: its code, or the words it was given in. */
export function whyCode(why: Why | undefined): string {
  if (!why) return '';
  return 'because' in why ? why.because : why.reason;
}

/** The reason as part of what has it; no part where none was given. */
export const orNothing = (why: Why | undefined) => (why ? { why } : {});
