import type { SafetyQuestion, KeyPoint } from './question';
import { synonyms } from './synonyms';
import { inDigits, nearlySame, wordsOf, type Word } from './words';

/** Words farther apart than this belong to different thoughts. */
const stretch = 14;

/** What a typed answer holds of a question. */
export interface Heard {
  /** Codes of the key points that were said. */
  readonly heard: readonly string[];
  readonly missed: readonly KeyPoint[];
  /** Nothing critical is missing. */
  readonly right: boolean;
}

/**
 * Which key points a typed answer holds, whatever its wording.
 *
 * A way of saying a point is a row of terms, all of which must stand near each other in any order. A term is a
 * word or several with `|` between them, any of which will do; `@name` stands for all synonyms of that name. A word counts only where it is not denied; one with
 * `!` before it only where it is, and the words beside it may be denied with it. A term with `-` before it must not
 * stand there. Small slips of spelling are passed over; numbers must be exact.
 */
export function heardIn(question: SafetyQuestion, answer: string): Heard {
  const words = wordsOf(answer);
  const heard = question.points.filter(({ says }) => says.some((way) => saidIn(words, way)));
  const missed = question.points.filter((point) => !heard.includes(point));
  return {
    heard: heard.map(({ code }) => code),
    missed,
    right: heard.length > 0 && !missed.some(({ critical }) => critical),
  };
}

function saidIn(words: readonly Word[], way: string): boolean {
  const terms = way.split(' ');
  const wanted = terms.filter((term) => !term.startsWith('-')).map((term) => term.split('|').flatMap(meant));
  const denies = way.includes('!');
  const barred = terms.filter((term) => term.startsWith('-')).map((term) => term.slice(1));
  for (let from = 0; from < words.length; from++) {
    const here = words.slice(from, from + stretch);
    // Every term needs a word of its own, so that "left" alone does not say "left ... left".
    if (!assign(here, wanted, denies)) continue;
    return !barred.some((word) => here.some(({ text, negated }) => !negated && nearlySame(text, word)));
  }
  return false;
}

/** The words that a term stands for. */
const meant = (term: string): readonly string[] => {
  const name = term.slice(1);
  return term.startsWith('@') && Object.hasOwn(synonyms, name) ? synonyms[name]! : [term];
};

function assign(
  words: readonly Word[],
  terms: readonly (readonly string[])[],
  denies: boolean,
  taken: ReadonlySet<number> = new Set(),
): boolean {
  const [first, ...rest] = terms;
  if (!first) return true;
  return words.some(
    (word, i) =>
      !taken.has(i) &&
      first.some((term) => fits(word, term, denies)) &&
      assign(words, rest, denies, new Set([...taken, i])),
  );
}

function fits({ text, negated }: Word, term: string, denies: boolean): boolean {
  if (term.startsWith('!')) return negated && sameWord(text, term.slice(1));
  return (denies || !negated) && sameWord(text, term);
}

/** A number may be written either way in the notation too: answers have it in digits by then. */
const sameWord = (text: string, term: string) => nearlySame(text, term) || text === inDigits(term);
