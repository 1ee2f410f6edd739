import { behaviourCategories, findBehaviour } from '@jasperwren/core/catalogue/catalogue';

const areas = new Map(behaviourCategories.map(({ code, name }) => [code, name]));

/** The area of a behaviour: "Junctions". */
export const areaOf = (code: string): string => areas.get(findBehaviour(code)?.category ?? '') ?? code;

/** A behaviour with its area, without which its name does not say of what: "Junctions, observation". */
export function behaviourName(code: string): string {
  const behaviour = findBehaviour(code);
  return behaviour ? `${areaOf(code)}, ${behaviour.name.toLowerCase()}` : code;
}
