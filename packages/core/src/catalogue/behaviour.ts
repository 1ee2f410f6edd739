/** One thing a driver does or fails to do. Its code never changes, so that drives marked under different standards compare. */
export interface Behaviour {
  /** `category.behaviour`, stable for ever. */
  readonly code: string;
  readonly category: string;
  readonly name: string;
  /** One plain sentence a learner can understand: what is watched. */
  readonly explanation: string;
  /** Two capital letters for the marking desk: the category's, then the behaviour's own within it. */
  readonly key: string;
}

/** A group of behaviours; the catalogue lists the groups in the order of a drive. */
export interface BehaviourCategory {
  readonly code: string;
  readonly name: string;
  /** One capital letter, unique over the catalogue. */
  readonly letter: string;
  readonly behaviours: readonly Behaviour[];
}

type Row = readonly [letter: string, slug: string, name: string, explanation: string];

/** Builds a category from rows of letter, slug, name and explanation; codes and keys follow from them. */
export function category(letter: string, code: string, name: string, rows: readonly Row[]): BehaviourCategory {
  return {
    code,
    name,
    letter,
    behaviours: rows.map(([own, slug, label, explanation]) => ({
      code: `${code}.${slug}`,
      category: code,
      name: label,
      explanation,
      key: letter + own,
    })),
  };
}
