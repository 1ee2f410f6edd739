import { Fragment, type ReactNode } from 'react';

/** What stands for a hole while the sentence is made; no text holds it. */
const mark = '\u0002';

/** A text for every hole, by which its place in a sentence is found again. */
const holes = <H extends string>(names: readonly H[]): Readonly<Record<H, string>> =>
  Object.fromEntries(names.map((name) => [name, mark + name + mark])) as Record<H, string>;

interface Props<H extends string> {
  /** Gives the sentence with a text in each of its holes. */
  readonly say: (texts: Readonly<Record<H, string>>) => string;
  /** What stands in the holes. */
  readonly of: Readonly<Record<H, ReactNode>>;
}

/** A sentence with something to touch in its holes; in which order they come is up to the words. */
export function Sentence<H extends string>({ say, of }: Props<H>) {
  const names = Object.keys(of) as H[];
  return say(holes(names))
    .split(mark)
    .map((part, i) => <Fragment key={i}>{i % 2 === 0 ? part : of[part as H]}</Fragment>);
}
