import { behaviourCategories } from '../../catalogue/catalogue';
import type { Category, Item } from '../standard';

/** How a template lists one behaviour: its own word for it, where it has one, and the grades it can have. */
type Listing =
  string | readonly [slug: string, changes: Partial<Pick<Item, 'name' | 'grades' | 'class' | 'exercise' | 'points'>>];

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
      const behaviour = group.behaviours.find((candidate) => candidate.code === `${code}.${slug}`);
      if (!behaviour) throw new Error(`The catalogue has no behaviour "${code}.${slug}".`);
      return {
        code: behaviour.code,
        behaviour: behaviour.code,
        name: behaviour.name,
        letter: behaviour.key[1]!,
        ...changes,
      };
    }),
  };
}
