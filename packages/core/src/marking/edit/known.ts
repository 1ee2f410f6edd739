import type { BriefingStep } from '../briefing';
import type { Exercise } from '../exercise';
import type { Standard } from '../standard';
import { templates } from '../templates';
import { added, freeCode, itemsOf, type Change } from './change';
import { withNewStep } from './before-and-after';

/** The first of those that share a name. */
function byName<T extends { readonly name: string }>(entries: readonly T[]): readonly T[] {
  const seen = new Map<string, T>();
  for (const entry of entries) if (!seen.has(entry.name)) seen.set(entry.name, entry);
  return [...seen.values()];
}

/** The exercises that shipped standards have, with their words and signs, without what refers to anything else of theirs. */
export const knownExercises: readonly Exercise[] = byName(
  templates.flatMap(({ exercises }) => exercises.map(({ items: _, looks: __, next: ___, ...exercise }) => exercise)),
);

/** The steps of the briefing that shipped standards have; but for those that ask questions of their own. */
export const knownSteps: readonly BriefingStep[] = byName(
  templates.flatMap(({ briefing = [] }) => briefing.filter(({ kind }) => kind !== 'questions')),
);

/** Adds exercises of the shipped standards by their names, in the order they are named. */
export const withKnownExercises =
  (names: readonly string[]): Change =>
  (standard) =>
    names.reduce((is, name) => {
      const found = knownExercises.find((exercise) => exercise.name === name);
      if (!found) return is;
      const taken = is.exercises.some(({ code }) => code === found.code);
      return added('exercises', taken ? { ...found, code: freeCode(is.exercises) } : found)(is);
    }, standard);

/** Adds a step of the shipped standards by its name; its parts mark the fault types of their behaviour that there are. */
export const withKnownStep =
  (name: string): Change =>
  (standard: Standard) => {
    const found = knownSteps.find((step) => step.name === name);
    if (!found) return standard;
    if (found.kind !== 'checklist' && found.kind !== 'calls') return withNewStep(found)(standard);
    const items = itemsOf(standard);
    const parts = found.parts.map((part) => {
      const item = items.find(({ behaviour, code }) => code === part.item || behaviour === part.item);
      return item ? { name: part.name, item: item.code } : { name: part.name };
    });
    return withNewStep({ ...found, parts })(standard);
  };
