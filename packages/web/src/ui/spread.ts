/**
 * Moves points on a line apart so that each can be touched: neighbours end `gapPx` apart or, where there are too
 * many for that, as far apart as the line allows. Points that have room stay where they are.
 * @param atPx places in order, in pixels from the start of the line
 */
export function spread(atPx: readonly number[], gapPx: number, widthPx: number): readonly number[] {
  const gap = atPx.length > 1 ? Math.min(gapPx, widthPx / (atPx.length - 1)) : gapPx;
  const pushed: number[] = [];
  for (const at of atPx) pushed.push(Math.max(at, (pushed.at(-1) ?? -Infinity) + gap));
  for (let i = pushed.length - 1, most = widthPx; i >= 0; i--, most -= gap) pushed[i] = Math.min(pushed[i]!, most);
  return pushed;
}
