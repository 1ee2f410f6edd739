import { behaviourCategories, findBehaviour } from '../../catalogue/catalogue';
import type { Category, Item } from '../standard';

type Changes = Partial<
  Pick<Item, 'name' | 'letter' | 'grades' | 'class' | 'exercise' | 'points' | 'measured' | 'sequence' | 'sensors'>
>;

/** How a template lists one behaviour: its own word for it, where it has one, and the grades it can have. */
export type Listing = string | readonly [slug: string, changes: Changes];

/**
 * A category of a standard made from the shared catalogue: codes and letters are the catalogue's, words may be
 * the template's.
 * @throws Error where the catalogue has no such category or behaviour
 */
export function fromCatalogue(code: string, listings: readonly Listing[], name?: string): Category {
  const group = behaviourCategories.find((candidate) => candidate.code === code);
  if (!group) throw new Error(`The catalogue has no category "${code}".`);
  return {
    code,
    name: name ?? group.name,
    letter: group.letter,
    items: listings.map((listing) => {
      const [slug, changes] = typeof listing === 'string' ? [listing, {}] : listing;
      return itemFor(`${code}.${slug}`, `${code}.${slug}`, changes);
    }),
  };
}

/**
 * A category that stands for one exercise: every mark in it belongs to that exercise.
 * @param rows own letter, own code, behaviour of the catalogue, name, and what else differs
 * @throws Error where the catalogue has no such behaviour
 */
export function forExercise(
  exercise: string,
  name: string,
  letter: string,
  rows: readonly (readonly [letter: string, slug: string, behaviour: string, name: string, changes?: Changes])[],
): Category {
  return {
    code: exercise,
    name,
    letter,
    items: rows.map(([own, slug, behaviour, words, changes]) =>
      itemFor(`${exercise}.${slug}`, behaviour, { name: words, letter: own, exercise, ...changes }),
    ),
  };
}

/**
 * An item of any category.
 * @throws Error where the catalogue has no such behaviour
 */
export function itemFor(code: string, behaviourCode: string, changes: Changes): Item {
  const behaviour = findBehaviour(behaviourCode);
  if (!behaviour) throw new Error(`The catalogue has no behaviour "${behaviourCode}".`);
  return { code, behaviour: behaviour.code, name: behaviour.name, letter: behaviour.key[1]!, ...changes };
}

/** The same changes for several behaviours of a category. */
export function each(slugs: readonly string[], changes: Changes): readonly Listing[] {
  return slugs.map((slug) => [slug, changes] as const);
}
