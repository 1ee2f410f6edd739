import { createInstance } from 'i18next';
import { pseudo, pseudoLanguage } from './pseudo';

/** The sentences of one feature by their keys; where a number decides, one for each form of the plural. */
type Resource = Readonly<Record<string, string>>;

type Key<R> = { [K in keyof R & string]: K extends `${infer Base}_${'one' | 'other'}` ? Base : K }[keyof R & string];

type Holes<Text extends string> = Text extends `${string}{{${infer Hole}}}${infer Rest}`
  ? Named<Hole> | Holes<Rest>
  : never;

/** The name of a hole; what stands after a comma says how its value is written: `{{samples, number}}` is 1,164. */
type Named<Hole extends string> = Hole extends `${infer Name}, ${string}` ? Name : Hole;

type HolesOf<R extends Resource, K extends string> =
  Holes<R[Extract<keyof R, K | `${K}_one` | `${K}_other`>]> | (`${K}_other` extends keyof R ? 'count' : never);

type Values<Hole extends string> = { readonly [H in Hole]: H extends 'count' ? number : string | number };

/** Gives a sentence by its key, with the values that its holes ask for. */
export type Words<R extends Resource> = <K extends Key<R>>(
  key: K,
  ...values: [HolesOf<R, K>] extends [never] ? [] : [values: Values<HolesOf<R, K>>]
) => string;

const english = 'en-GB';

/** The pseudo-language where the browser asks for it, English otherwise: no other language is there yet. */
const language = browserLanguage() === pseudoLanguage ? pseudoLanguage : english;

/** What the browser asks for; undefined outside of one. */
function browserLanguage(): string | undefined {
  return (globalThis as { readonly navigator?: { readonly language?: string } }).navigator?.language;
}

const shared = createInstance({
  lng: language,
  fallbackLng: english,
  resources: {},
  initAsync: false,
  keySeparator: false,
  nsSeparator: false,
  interpolation: { escapeValue: false },
  ...(language === pseudoLanguage && { postProcess: [pseudo.name] }),
});
shared.use(pseudo);
void shared.init();

/** Adds the sentences of a feature and returns what gives them. */
export function wordsOf<const R extends Resource>(feature: string, resource: R): Words<R> {
  shared.addResourceBundle(english, feature, resource);
  const give = shared.getFixedT(null, feature);
  return (key, ...[values]) => give(key, values as Record<string, string | number>);
}
