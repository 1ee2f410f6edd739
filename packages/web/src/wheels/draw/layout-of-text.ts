import type { Layout } from '@jasperwren/motion/layout/layout';
import { readLayout } from '@jasperwren/motion/layout/read-layout';

/** A layout from the text of a file, or the first thing that is wrong with it. */
export function layoutOfText(text: string): { readonly layout: Layout } | { readonly problem: string } {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch (error) {
    return { problem: error instanceof Error ? error.message : String(error) };
  }
  const read = readLayout(value);
  return 'layout' in read ? read : { problem: read.problems[0]! };
}
