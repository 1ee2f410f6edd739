import damerauLevenshtein from 'damerau-levenshtein';

/** The words of a spoken or typed answer, brought to one form. */
export interface Word {
  readonly text: string;
  /** It stands under a "not", "no", "never" or the like. */
  readonly negated: boolean;
}

const joined: readonly (readonly [RegExp, string])[] = [
  [/\bdip[ -]stick\b/g, 'dipstick'],
  [/\bhand[ -]book\b/g, 'handbook'],
  [/\bhand[ -]brake\b/g, 'handbrake'],
  [/\bfoot[ -]brake\b/g, 'footbrake'],
  [/\bwind[ -]screen\b/g, 'windscreen'],
  [/\bhead[ -]?(lamp|light)/g, 'headlight'],
  [/\bfour[ -]way\b/g, 'four_way'],
  [/\bright of way\b/g, 'right_of_way'],
  [/\bdust[ -]cap/g, 'dust_cap'],
  [/\bcan't\b|\bcannot\b/g, 'can not'],
  [/\bwon't\b/g, 'will not'],
  [/n't\b/g, ' not'],
  [/\b(do not|dont) forget\b/g, 'remember'],
  [/\bfree (of|from)\b/g, 'no'],
  [/\b(three|3)[ -]quarters?\b|\bthree[ -]fourths?\b|¾|\b75 ?%|\bseventy[ -]five per ?cent\b/g, '3/4'],
];

const numberWords: Readonly<Record<string, number>> = {
  zero: 0,
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  eleven: 11,
  twelve: 12,
  thirteen: 13,
  fourteen: 14,
  fifteen: 15,
  sixteen: 16,
  seventeen: 17,
  eighteen: 18,
  nineteen: 19,
  twenty: 20,
  thirty: 30,
  forty: 40,
  fifty: 50,
  sixty: 60,
  seventy: 70,
  eighty: 80,
  ninety: 90,
  hundred: 100,
};

const negators = new Set([
  'not',
  'no',
  'never',
  'without',
  'none',
  'nothing',
  'neither',
  'nor',
  'isnt',
  'dont',
  'doesnt',
  'shouldnt',
  'mustnt',
  'arent',
  'forbidden',
  'prohibited',
]);
const breaks = new Set(['but', 'then', 'so', 'because', 'if', 'unless', 'i', 'you', 'we', 'it', ';', '.']);
/** How many words a "not" reaches. */
const reach = 6;

/** A number word in digits, any other word as it is. */
export const inDigits = (word: string): string => String(numberWords[word] ?? word);

interface Read {
  readonly value: number;
  /** How many words it took. */
  readonly words: number;
}

/** A number below a hundred that begins at a place, such as "twenty five". */
function belowHundred(tokens: readonly string[], at: number): Read | undefined {
  const value = numberWords[tokens[at] ?? ''];
  if (value === undefined || value >= 100) return undefined;
  const ones = numberWords[tokens[at + 1] ?? ''] ?? 0;
  return value >= 20 && ones > 0 && ones < 10 ? { value: value + ones, words: 2 } : { value, words: 1 };
}

/** A number that begins at a place: "one point six", "two hundred and five", "ninety". */
function numberAt(tokens: readonly string[], at: number): Read | undefined {
  if (tokens[at] === 'hundred') return { value: 100, words: 1 };
  const first = belowHundred(tokens, at);
  if (!first) return undefined;
  const { value, words } = first;
  const next = tokens[at + words];
  if (next === 'point') {
    const tenth = numberWords[tokens[at + words + 1] ?? ''];
    if (tenth !== undefined && tenth < 10) return { value: Number(`${value}.${tenth}`), words: words + 2 };
  }
  if (next === 'hundred' && value < 10) {
    const and = tokens[at + words + 1] === 'and' ? 1 : 0;
    const rest = belowHundred(tokens, at + words + 1 + and);
    if (rest) return { value: 100 * value + rest.value, words: words + 1 + and + rest.words };
    return { value: 100 * value, words: words + 1 };
  }
  // "One of them" is no number.
  const pronoun = tokens[at] === 'one' && !/^(metre|meter|second|way)/.test(next ?? '');
  return pronoun ? undefined : first;
}

/** Numbers, whether in digits or in words, as digits: "one point six" and "1,6mm" are both 1.6. */
function digits(tokens: readonly string[]): readonly string[] {
  const out: string[] = [];
  for (let at = 0; at < tokens.length;) {
    const read = numberAt(tokens, at);
    out.push(read ? String(read.value) : tokens[at]!);
    at += read?.words ?? 1;
  }
  return out;
}

/** An answer as words: small letters, numbers in digits, what is denied marked as such. */
export function wordsOf(answer: string): readonly Word[] {
  let text = answer.toLowerCase().replace(/[’`]/g, "'");
  for (const [from, to] of joined) text = text.replace(from, to);
  text = text
    .replace(/(\d),(\d)/g, '$1.$2')
    .replace(/(\d)(mm|m|cm|s|%)\b/g, '$1 $2')
    .replace(/'/g, '');
  const tokens = digits(text.match(/\d+\/\d+|\d+(?:\.\d+)?|[a-z_à-ž]+|[;.,%]/g) ?? []);
  let left = 0;
  return tokens.flatMap((token, i): Word[] => {
    if (negators.has(token)) {
      left = reach;
      return [{ text: token, negated: false }];
    }
    if (breaks.has(token) || (token === ',' && !listGoesOn(tokens, i))) left = 0;
    if (!/^[a-z0-9]/.test(token)) return [];
    const negated = left > 0;
    left = Math.max(0, left - 1);
    return [{ text: token, negated }];
  });
}

/** "No cuts, bulges or lumps" denies all three; the comma of "no cuts, at least 1.6 mm" ends the denial. */
function listGoesOn(tokens: readonly string[], comma: number): boolean {
  const [next = '', after = ''] = tokens.slice(comma + 1, comma + 3);
  return /^[a-z]/.test(next) && [',', 'or', 'and', 'nor'].includes(after);
}

/** A word without its usual endings, so that "walking" and "walk" agree. */
export function stem(word: string): string {
  if (/\d/.test(word) || word.length < 4) return word;
  const bare = word.replace(/(ing|edly|ed|ly|es|s)$/, '');
  const short = bare.length >= 3 ? bare : word;
  return short.replace(/(.)\1$/, '$1').replace(/e$/, '');
}

/** Whether two words are the same but for a slip of the finger; numbers never are. */
export function nearlySame(a: string, b: string): boolean {
  if (a === b) return true;
  if (/\d/.test(a) || /\d/.test(b)) return false;
  if (stem(a) === stem(b)) return true;
  const length = Math.min(a.length, b.length);
  return length >= 5 && damerauLevenshtein(a, b).steps <= (length >= 9 ? 2 : 1);
}
